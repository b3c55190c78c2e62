import { describe, expect, it } from 'vitest';
import { offWeight, outlookOf } from '@/core/cook/off-weight';
import { predictFormula } from '@/core/predict/predict-formula';
import { resolveFormula } from '@/formats/resolve-formula';
import { lanternMillFormulas } from '@/server/demo/lantern-mill';
import { larder } from '../../support/kitchen';

const file = lanternMillFormulas().find(({ name }) => name === 'Millrace éclair gloss');
if (!file) throw new Error('no such formula');
const formula = resolveFormula(file, larder, 'standard');
const grams = formula.lines.map((line) => line.grams);
const cream = file.lines.findIndex(({ ingredient }) => ingredient.startsWith('cream'));

describe('a row that weighs other than planned', () => {
  const over = grams.map((each, row) => (row === cream ? each * 1.33 : each));
  const isIn = grams.map((_, row) => row === cream);
  const found = offWeight(formula, over, isIn);

  it('is told with what comes of it', () => {
    expect(found?.planned).toEqual(outlookOf(formula));
    expect(found?.leave.chance).toBeLessThan(found?.planned.chance ?? 0);
    expect(found?.leave.resistancePa).toBeLessThan(found?.planned.resistancePa ?? 0);
    expect(found?.leave.yieldG).toBeCloseTo((found?.planned.yieldG ?? 0) + (grams[cream] ?? 0) * 0.33, 6);
  });

  it('is made up for by rows that are not in, what is in stays, and it lands well inside', () => {
    const made = found?.makeUp;
    expect(made?.grams[cream]).toBeCloseTo(over[cream] ?? 0, 6);
    const after = { ...formula, lines: formula.lines.map((line, row) => ({ ...line, grams: made?.grams[row] ?? 0 })) };
    expect(predictFormula(after)?.lands).toBe(true);
    expect(made?.outlook.missed).toEqual([]);
    expect(made?.outlook.chance).toBeGreaterThan(found?.leave.chance ?? 1);
  });

  it('without gates the rest follows in proportion, a pinch too', () => {
    const plain = { ...formula, gates: [] };
    const tenth = grams.map((each, row) => (row === cream ? each / 10 : each));
    const made = offWeight(plain, tenth, isIn)?.makeUp?.grams ?? [];
    for (const [row, each] of made.entries()) expect(each).toBeCloseTo((grams[row] ?? 0) / 10, 6);
    expect(made.length).toBe(grams.length);
  });

  it('has nothing to make up with once all of it is in', () => {
    expect(
      offWeight(
        formula,
        over,
        grams.map(() => true),
      )?.makeUp,
    ).toBeUndefined();
  });

  it('an empty pan has no outlook', () => {
    expect(offWeight({ ...formula, lines: [] }, [], [])).toBeUndefined();
  });
});
