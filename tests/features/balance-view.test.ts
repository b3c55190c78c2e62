import { describe, expect, it } from 'vitest';
import { predictFormula } from '@/core/predict/predict-formula';
import {
  applyEdit,
  type DraftHistory,
  draftOf,
  fileOf as fileOfDraft,
  reduceDraft,
  totalGrams,
} from '@/features/balance/draft/formula-draft';
import { measures } from '@/features/balance/verdict/measures';
import { riskNotes, verdict } from '@/features/balance/verdict/verdict';
import { type FormulaFile, readFormula } from '@/formats/formula-file';
import { resolveFormula } from '@/formats/resolve-formula';
import { lanternMillFormulas } from '@/server/demo/lantern-mill';
import { larder } from '../support/kitchen';

const demo = new Map(lanternMillFormulas().map((file) => [file.name, file]));
const gloss = demo.get('Millrace éclair gloss') as FormulaFile;
let keys = 0;
const open = (file: FormulaFile) => draftOf(file, () => `k${keys++}`);
const start = (file: FormulaFile): DraftHistory => {
  const present = open(file);
  return { past: [], present, future: [], mark: undefined, reference: present };
};
const predict = (file: FormulaFile) => {
  const prediction = predictFormula(resolveFormula(file, larder, 'standard'));
  if (!prediction) throw new Error('empty pan');
  return prediction;
};
const words = (file: FormulaFile) =>
  verdict(predict(file), file.use)
    .map(({ text }) => text)
    .join(' ')
    .replaceAll('\u202f', ' ');

describe('the open formula', () => {
  it('changes only what an edit says, and undo gives all of it back', () => {
    const first = start(gloss);
    const [a, b] = first.present.lines.map((line) => line.key) as [string, string];
    const edits = [
      { type: 'grams', key: a, grams: 99 },
      { type: 'lock', key: b },
      { type: 'move', key: a, to: 3 },
      { type: 'remove', key: b },
      { type: 'add', line: { key: 'new', ingredient: 'water', grams: 5, locked: false } },
      { type: 'scale', totalGrams: 1000 },
      { type: 'name', name: 'Other' },
      { type: 'limits', key: a, minGrams: 5, maxGrams: 50 },
      { type: 'form', key: a, form: '' },
    ] as const;
    let history: DraftHistory = first;
    for (const edit of edits) history = reduceDraft(history, { type: 'edit', edit });
    expect(history.present.name).toBe('Other');
    expect(totalGrams(history.present)).toBeCloseTo(1000, 1);
    for (const _ of edits) history = reduceDraft(history, { type: 'undo' });
    expect(history.present).toBe(first.present);
    for (const _ of edits) history = reduceDraft(history, { type: 'redo' });
    expect(history.present.name).toBe('Other');
    expect(reduceDraft(history, { type: 'redo' })).toBe(history);
  });

  it('takes typing in one field as one step, until it is left', () => {
    const key = (start(gloss).present.lines[0] as { key: string }).key;
    let history = start(gloss);
    const realKey = history.present.lines[0]?.key ?? key;
    const type = (grams: number) => {
      history = reduceDraft(history, { type: 'edit', edit: { type: 'grams', key: realKey, grams } });
    };
    type(2);
    type(21);
    type(215);
    expect(history.past).toHaveLength(1);
    history = reduceDraft(history, { type: 'pause' });
    type(216);
    expect(history.past).toHaveLength(2);
  });

  it('scales rows, limits and yield together, and moves rows where asked', () => {
    const draft = open({
      ...gloss,
      lines: [
        { ingredient: 'water', grams: 100, locked: false, minGrams: 50, maxGrams: 200 },
        { ingredient: 'cream-35', grams: 300, locked: true },
      ],
    });
    const scaled = applyEdit(draft, { type: 'scale', totalGrams: 200 });
    expect(scaled.lines.map(({ grams }) => grams)).toEqual([50, 150]);
    expect(scaled.lines[0]).toMatchObject({ minGrams: 25, maxGrams: 100 });
    expect(scaled.yield?.targetGrams).toBe(290);
    const moved = applyEdit(draft, { type: 'move', key: draft.lines[0]?.key ?? '', to: 9 });
    expect(moved.lines.map(({ ingredient }) => ingredient)).toEqual(['cream-35', 'water']);
    expect(applyEdit(open({ ...gloss, lines: [] }), { type: 'scale', totalGrams: 100 }).lines).toEqual([]);
  });

  it('goes back to a file without its keys', () => {
    expect(fileOfDraft(open(gloss))).toEqual(gloss);
  });
});

describe('the verdict', () => {
  it('says what is good and what is off, in a cook’s words', () => {
    expect(words(gloss)).toBe(
      'Coats at 32 °C. On the bench (18 °C) it stays put and bites soft. From the fridge (4 °C) it will be  too stiff to bite cleanly.',
    );
    expect(words(demo.get('Snowmelt mirror, white') as FormulaFile)).toContain('too thin to glaze');
  });

  it('speaks of shine and keeping only when they miss', () => {
    const strict = readFormula({
      ...gloss,
      gates: [
        { moment: 'pour', quantity: 'shine', low: 99 },
        { moment: 'bench', quantity: 'waterActivity', high: 0.5 },
      ],
    });
    expect(words(strict)).toBe('It will not shine enough. It will not keep as long as wanted.');
    expect(words(readFormula({ ...gloss, gates: [] }))).toContain('No gates yet');
  });

  it('names a risk where it is highest, with its cure', () => {
    const slab = riskNotes(predict(demo.get('Pear tart slab') as FormulaFile));
    expect(slab[0]).toMatchObject({ name: 'may split', likely: true });
    expect(riskNotes(predict(gloss)).map(({ name }) => name)).not.toContain('may split');
  });
});

describe('the measures', () => {
  it('always hold fluidity, set, shine, water activity and yield, each with value and unit', () => {
    for (const file of demo.values()) {
      const shown = measures(open(file), predict(file), undefined);
      for (const title of [/^(Flow|Resistance)/, /^Set/, /^Shine/, /^Water activity/, /^Yield/]) {
        expect(
          shown.some((measure) => title.test(measure.title)),
          `${file.name} ${title}`,
        ).toBe(true);
      }
      for (const { shown: text, range, value } of shown) {
        expect(text.number).not.toMatch(/NaN|Infinity/);
        expect(range[0]).toBeLessThan(range[1]);
        expect(Number.isFinite(value)).toBe(true);
      }
    }
  });

  it('show what a gate misses and by which side', () => {
    const set = measures(open(gloss), predict(gloss), undefined).find(({ title }) => title.startsWith('Set at 4'));
    expect(set).toMatchObject({ side: 1, sideWord: 'too stiff', high: 2000 });
    expect(set?.shown).toEqual({ number: '2.5', unit: 'kPa' });
  });

  it('take what stays in the bowl from the yield', () => {
    const shown = measures(open(gloss), predict(gloss), undefined).find(({ key }) => key === 'yield');
    expect(shown).toMatchObject({ value: 580, side: 0 });
    const half = applyEdit(open(gloss), { type: 'grams', key: 'none', grams: 1 });
    expect(
      measures({ ...half, yield: { targetGrams: 900, bowlLossGrams: 0 } }, predict(gloss), undefined).at(-1),
    ).toMatchObject({
      side: -1,
      sideWord: 'too little',
    });
  });

  it('give every gauge a track, even when all of it stays in the bowl', () => {
    const lost = { ...open(gloss), yield: { bowlLossGrams: 90_000 } };
    const shown = measures(lost, predict(gloss), undefined);
    expect(shown.at(-1)).toMatchObject({ key: 'yield', value: 0 });
    for (const { range } of shown) expect(range[1]).toBeGreaterThan(range[0]);
  });
});
