import { describe, expect, it } from 'vitest';
import { usualHistory } from '@/core/matter/process';
import { predictFormula } from '@/core/predict/predict-formula';
import { flowAt } from '@/core/predict/state';
import { drawingMatch } from '@/core/serve/second-sauce';
import { drawWith, PLATE_C } from '@/kitchen/serve/draw-with';
import { formulaOf } from '../support/kitchen';

const dark = formulaOf([
  ['cream-35', 200],
  ['dark-couverture-60', 120],
  ['glucose-syrup-de42', 40],
  ['water', 40],
]);
const pale = formulaOf([
  ['cream-35', 90],
  ['white-couverture-28', 270],
  ['milk-whole', 40],
]);

/** The flow of a formula on the plate, worked out anew. */
function onThePlate(formula: typeof dark) {
  const prediction = predictFormula(formula);
  if (!prediction) throw new Error('something is in it');
  return flowAt(prediction.batch, PLATE_C, usualHistory(PLATE_C));
}

describe('a second sauce balanced to the first', () => {
  it('holds by the prediction itself, keeps its weight, and moves only what it must', () => {
    const answer = drawWith(dark, pale);
    expect(answer?.asItIs.holds).toBe(false);
    const grams = answer?.balanced?.grams ?? [];
    const after = { ...pale, lines: pale.lines.map((line, i) => ({ ...line, grams: grams[i] ?? Number.NaN })) };
    expect(drawingMatch(onThePlate(dark), onThePlate(after)).holds).toBe(true);
    expect(grams.reduce((sum, each) => sum + each, 0)).toBeCloseTo(400, 0);
  });

  it('finds another way to the same flow where the straight one is too heavy', () => {
    const first = formulaOf([
      ['cream-35', 240],
      ['dark-couverture-60', 160],
      ['water', 60],
    ]);
    const heavy = formulaOf([
      ['cream-35', 60],
      ['white-couverture-28', 330],
      ['milk-whole', 10],
    ]);
    const answer = drawWith(first, heavy);
    expect(answer?.asItIs.densityShare).toBeGreaterThan(0.1);
    const grams = answer?.balanced?.grams ?? [];
    const after = { ...heavy, lines: heavy.lines.map((line, i) => ({ ...line, grams: grams[i] ?? Number.NaN })) };
    expect(drawingMatch(onThePlate(first), onThePlate(after))).toMatchObject({ holds: true });
  });

  it('leaves alone what holds as it is', () => {
    const same = drawWith(dark, dark);
    expect([same?.asItIs.holds, same?.balanced]).toEqual([true, undefined]);
  });

  it('says so where it cannot be brought there', () => {
    const butter = formulaOf([['cocoa-butter', 300]]);
    expect(drawWith(dark, butter)?.balanced).toBeUndefined();
  });
});
