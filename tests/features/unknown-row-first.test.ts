import { describe, expect, it } from 'vitest';
import { balance } from '@/core/balance/balance';
import { atAxis } from '@/core/balance/field-map';
import { swap } from '@/core/swap/swap';
import { largestTwo } from '@/features/balance/material/map-axes';
import { benchCard } from '@/features/card/bench-card';
import { readFormula } from '@/formats/formula-file';
import { vectorOf } from '@/formats/resolve-formula';
import { byKey, keyed, predictPan } from '@/kitchen/known-pan';
import { kitchenOf, workMethod } from '@/kitchen/method/work-method';
import { fileOf, larder } from '../support/kitchen';

/** A row nobody knows stands before all others. */
const file = readFormula(
  fileOf(
    [
      ['moondust', 35],
      ['cream-35', 200],
      ['dark-couverture-60', 240],
    ],
    [{ moment: 'pour', quantity: 'apparentViscosityPaS', low: 0.4, high: 0.9 }],
  ),
);
const pan = keyed(file);
const predicted = predictPan(pan, larder, 'standard');

describe('a row nobody knows, before all others', () => {
  it('takes no grams of another: a map moves the rows it shows', () => {
    if (!predicted) throw new Error('nothing predicted');
    const [across] = largestTwo(predicted.formula);
    const now = predicted.formula.lines.map(({ grams }) => grams);
    const moved = byKey(predicted, atAxis(now, across, 150));
    expect([...moved.keys()]).toEqual(['row-1', 'row-2']);
    const changed = pan.lines.filter(({ key, grams }) => moved.has(key) && moved.get(key) !== grams);
    expect(changed.map(({ ingredient }) => ingredient)).toEqual(['cream-35']);
  });

  it('stays where it is in a balance', () => {
    if (!predicted) throw new Error('nothing predicted');
    const to = byKey(predicted, balance(predicted.formula).grams);
    expect(to.has('row-0')).toBe(false);
    expect(to.get('row-1')).toBeGreaterThan(100);
    expect(to.get('row-2')).toBeGreaterThan(100);
  });

  it('is named on the card, and each row keeps its own grams', () => {
    const rows = benchCard(file, larder, 'standard', 'grams').stages.flatMap((stage) => stage.rows);
    expect(rows.map(({ name }) => name)).toEqual([
      'moondust (not in the larder)',
      expect.stringContaining('Whipping cream'),
      expect.stringContaining('Dark couverture'),
    ]);
    expect(rows.map(({ grams }) => Number.parseInt(grams, 10))).toEqual([35, 200, 240]);
  });

  it('is left out of the method, whose steps name the right rows', () => {
    const lines = file.lines.filter(({ ingredient }) => larder.has(ingredient));
    const worked = predicted && workMethod({ ...file, lines }, predicted.formula, kitchenOf(file, 22));
    const goesIn = worked?.followed.flatMap(({ additions }) =>
      additions.map(({ key, grams }) => [lines[Number(key)]?.ingredient, grams]),
    );
    expect(goesIn).toEqual([
      ['cream-35', 200],
      ['dark-couverture-60', 240],
    ]);
  });

  it('stays beside a swap: the row that is meant is swapped, and only grams of known rows move', () => {
    if (!predicted) throw new Error('nothing predicted');
    const milder = larder.get('dark-couverture-58');
    if (!milder) throw new Error('not in the larder');
    const place = predicted.keys.indexOf('row-2');
    const { formula } = swap(
      predicted.formula,
      new Map([[place, { ingredient: milder.id, perGram: vectorOf(milder.components) }]]),
    );
    expect(formula.lines.map(({ ingredient }) => ingredient)).toEqual(['cream-35', 'dark-couverture-58']);
    const to = byKey(
      predicted,
      formula.lines.map(({ grams }) => grams),
    );
    expect([...to.keys()]).toEqual(['row-1', 'row-2']);
  });
});
