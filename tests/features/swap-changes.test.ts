import { describe, expect, it } from 'vitest';
import { predictFormula } from '@/core/predict/predict-formula';
import { swapChanges } from '@/features/balance/sheets/swap-changes';
import { readFormula } from '@/formats/formula-file';
import { resolveFormula } from '@/formats/resolve-formula';
import { panContents } from '@/kitchen/pan-contents';
import { fileOf, larder } from '../support/kitchen';

type Rows = Parameters<typeof fileOf>[0];

/** Rows with their prediction, under two gates the first pan passes. */
function pan(rows: Rows) {
  const file = readFormula(
    fileOf(rows, [
      { moment: 'pour', quantity: 'apparentViscosityPaS', low: 0.2, high: 6 },
      { moment: 'pour', quantity: 'alcoholPercentVol', high: 1 },
    ]),
  );
  const prediction = predictFormula(resolveFormula(file, larder, 'standard'));
  if (!prediction) throw new RangeError('nothing in the pan');
  return { contents: panContents(file, larder), prediction };
}

function changes(before: Rows, after: Rows) {
  const [was, is] = [pan(before), pan(after)];
  return swapChanges(was.contents, is.contents, was.prediction, is.prediction);
}

const GANACHE: Rows = [
  ['dark-couverture-60', 200],
  ['cream-35', 200],
];

describe('what a swap is said to change', () => {
  it('is nothing when nothing changes', () => {
    expect(changes(GANACHE, GANACHE)).toEqual([]);
  });

  it('names flow at every moment that moves, with both figures', () => {
    const flow = changes(GANACHE, [
      ['dark-couverture-60', 200],
      ['cream-35', 300],
    ]).filter(({ name }) => name.includes('resistance'));
    expect(flow.map(({ name }) => name)).toEqual([
      'In the pan (60\u202f°C), resistance',
      'At the pour (36\u202f°C), resistance',
      'On the bench (20\u202f°C), resistance',
      'From the fridge (4\u202f°C), resistance',
    ]);
    for (const { before, after, off } of flow) {
      expect(before).not.toBe(after);
      expect(off).toBe(false);
    }
  });

  it('an allergen that comes in is for the worse, one that goes is not', () => {
    const nutty: Rows = [...GANACHE, ['hazelnut-paste', 30]];
    const allergens = (list: ReturnType<typeof changes>) => list.find(({ name }) => name === 'Allergens');
    expect(allergens(changes(GANACHE, nutty))?.off).toBe(true);
    expect(allergens(changes(GANACHE, nutty))?.after).toContain('nuts');
    expect(allergens(changes(nutty, GANACHE))).toMatchObject({ off: false });
  });

  it('a row of no grams brings no allergen', () => {
    const none: Rows = [...GANACHE, ['hazelnut-paste', 0]];
    expect(changes(GANACHE, none)).toEqual([]);
  });

  it('a gate that was passed and is missed now is for the worse', () => {
    const strong = changes(GANACHE, [...GANACHE, ['rum-40', 40]]);
    expect(strong.find(({ name }) => name === 'Gates passed')).toMatchObject({
      before: '2 of 2',
      after: '1 of 2',
      off: true,
    });
    expect(strong.find(({ name }) => name === 'Alcohol')?.after).toMatch(/%/);
  });
});
