import { describe, expect, it } from 'vitest';
import { parseFormulaText, readFormula } from '@/formats/formula-file';
import { FormulaFileError } from '@/formats/formula-file-error';
import { applyVariation, variationOf } from '@/formats/variation';
import { fileSteps, stepsOfFile } from '@/kitchen/method/file-steps';
import { methodInstructions } from '@/kitchen/method/instructions';
import { withMethod } from '@/kitchen/method/with-method';
import { workFile } from '@/kitchen/method/work-method';
import { larder } from '../support/kitchen';

const CREAM = { ingredient: 'cream-35' };
const STEPS = [
  {
    kind: 'boil',
    where: 'pan',
    adds: [{ ...CREAM, share: 0.75 }],
    heat: 'high',
    stir: 0.6,
    tool: 'spatula',
    end: { kind: 'boil' },
  },
  {
    kind: 'pourOver',
    where: 'bowl',
    adds: [{ ingredient: 'dark-couverture-60', size: 'choppedFine' }],
    end: { kind: 'seconds', seconds: 90 },
    note: 'the blue bowl',
  },
  {
    kind: 'stir',
    where: 'bowl',
    adds: [
      { ...CREAM, share: 0.25 },
      { ...CREAM, which: 2 },
    ],
    stir: 0.5,
    end: { kind: 'melted' },
    leastSeconds: 60,
  },
];
const made = (steps: unknown = STEPS, lines: readonly string[] = ['cream-35', 'dark-couverture-60', 'cream-35']) =>
  readFormula({
    format: 'dark-pour/formula',
    version: 1,
    name: 'Weir steps',
    lines: lines.map((ingredient) => ({ ingredient, grams: 100 })),
    method: { way: 'pouredOver', steps },
  });
const nameOf = (id: string) => id;

describe('steps of a cook’s own in a formula file', () => {
  it('are read and written without a change, row by row', () => {
    const file = made();
    const steps = stepsOfFile(file.method?.steps ?? [], file.lines);
    expect(steps.map(({ adds }) => adds.map(({ row, share }) => [row, share]))).toEqual([
      [[0, 0.75]],
      [[1, 1]],
      [
        [0, 0.25],
        [2, 1],
      ],
    ]);
    const again = { ...file, method: { way: 'pouredOver', steps: fileSteps(steps, file.lines) } };
    expect(readFormula(parseFormulaText(JSON.stringify(again)))).toEqual(file);
  });

  it('are what the batch is made by: predictions and recipe follow them', () => {
    const file = made();
    const worked = workFile(file, larder, 'standard');
    expect(worked?.followed.map(({ step }) => step.kind)).toEqual(['boil', 'pourOver', 'stir']);
    expect(worked?.followed[1]?.additions[0]).toMatchObject({ radiusM: 0.003 });
    const kept = worked && withMethod(file, worked);
    expect(kept?.method).toEqual(file.method);
    expect(kept?.yield?.evaporationGrams).toBe(Math.round(worked?.followed.at(-1)?.end.lostWaterG ?? 0));
    const recipe = methodInstructions(file, larder, nameOf);
    expect(recipe?.steps.map(({ name }) => name)).toEqual(['To a rolling boil', 'Pour over, leave it', 'Stir it in']);
    expect(recipe?.steps[0]?.text).toContain('75 g cream-35');
  });

  it('let go of a row the pan no longer has, and follow one that moved', () => {
    const fewer = made(STEPS, ['dark-couverture-60', 'cream-35']);
    const steps = stepsOfFile(fewer.method?.steps ?? [], fewer.lines);
    expect(steps.map(({ adds }) => adds.map(({ row }) => row))).toEqual([[1], [0], [1]]);
    const faults = workFile(fewer, larder, 'standard')?.faults.map(({ kind }) => kind);
    expect(faults).not.toContain('rowInNoStep');
  });

  it('say which row goes in nowhere, and how much of it', () => {
    const partly = made([{ ...STEPS[0], adds: [{ ...CREAM, share: 0.6 }] }, ...STEPS.slice(1, 2)]);
    const nowhere = workFile(partly, larder, 'standard')?.faults.filter(({ kind }) => kind === 'rowInNoStep');
    expect(nowhere).toEqual([
      { kind: 'rowInNoStep', row: 0, grams: expect.closeTo(40, 6) },
      { kind: 'rowInNoStep', row: 2, grams: expect.closeTo(100, 6) },
    ]);
  });

  it('are a part of a variant like any other', () => {
    const [base, child] = [{ ...made(), method: undefined }, made()];
    const variation = variationOf(base, child);
    expect(Object.keys(variation.parts)).toEqual(['method']);
    expect(applyVariation(base, variation, child)).toEqual(child);
  });

  it.each([
    ['a step with no end', [{ ...STEPS[0], end: undefined }], 'method.steps[0].end: a step must say when it is over'],
    ['a negative time', [{ ...STEPS[1], end: { kind: 'seconds', seconds: -5 } }], 'must be at least 1 seconds'],
    [
      'a heat of 4000',
      [{ ...STEPS[0], end: { kind: 'temperature', temperatureC: 4000 } }],
      'must be at most 130 degrees',
    ],
    [
      'more than a whole row',
      [{ ...STEPS[0], adds: [{ ...CREAM, share: 1.5 }] }],
      'must be at most 1 parts of the row',
    ],
    ['an unknown size', [{ ...STEPS[1], adds: [{ ...CREAM, size: 'boulders' }] }], 'must be one of grated'],
    ['no step at all', [], 'method.steps: must hold a step'],
    ['a hundred steps', Array(100).fill(STEPS[0]), 'must be at most 40 steps'],
  ])('refuses %s', (_, steps, message) => {
    expect(() => made(steps)).toThrow(FormulaFileError);
    expect(() => made(steps)).toThrow(message);
  });
});
