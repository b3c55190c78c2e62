import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  formIn,
  gramsOfOne,
  kitchenAmount,
  type MeasureUnit,
  measureDoubt,
  millilitresOf,
  nearestPart,
  VOLUMES,
  WEIGHTS,
  weigh,
} from '@/core/matter/measures';
import { larder } from '../../support/kitchen';

const get = (id: string) => {
  const found = larder.get(id);
  if (!found) throw new Error(id);
  return found;
};
const cocoa = get('cocoa-alkalised-22');
const chocolate = get('dark-couverture-64');

describe('measures', () => {
  it('convert exactly between weights and between volumes', () => {
    expect(WEIGHTS.lb / WEIGHTS.oz).toBeCloseTo(16, 9);
    expect(VOLUMES.usCup).toBe(240);
    expect(millilitresOf('cup', 'us')).toBe(240);
    expect(millilitresOf('tbsp', 'australian')).toBe(20);
    expect(millilitresOf('cup', 'imperial') / VOLUMES.flOz).toBeCloseTo(9.6076, 4);
    expect(weigh(chocolate, 2, 'lb')?.grams).toBeCloseTo(907.18474, 4);
  });

  it.each<[MeasureUnit, string | undefined, number]>([
    ['g', undefined, 0.005],
    ['lb', undefined, 0.005],
    ['leaf', undefined, 0.05],
    ['pinch', undefined, 0.4],
    ['usCup', 'grated', 0.15],
    ['usCup', 'heaped by a stranger', 0.1],
    // a spooned spoon: √(0.1² + 0.06²)
    ['tsp', 'spooned', 0.1166],
  ])('one %s, %s, is in doubt by %d (ln)', (unit, form, lnSd) => {
    expect(measureDoubt(unit, form)).toBeCloseTo(lnSd, 4);
  });

  it('weigh a volume by its form', () => {
    expect(weigh(cocoa, 1, 'cup', 'sifted')?.grams).toBeCloseTo(90, 6);
    expect(weigh(cocoa, 1, 'cup', 'packed')?.grams).toBeCloseTo(130, 6);
    expect(weigh(chocolate, 1, 'cup', 'chopped')).toEqual({ grams: 167.5, lnSd: 0.1 });
    expect(weigh(get('butter-unsalted-82'), 1, 'stick')?.grams).toBeCloseTo(113.4, 6);
    expect(weigh(chocolate, 1, 'stick')).toBeUndefined();
  });

  it('know the form from a cook’s words', () => {
    expect(formIn(chocolate, 'chopped small')).toBe('chopped');
    expect(formIn(cocoa, 'sifted over')).toBe('sifted');
    expect(formIn(chocolate, 'boil, then pour')).toBe('callets');
    expect(formIn(get('gelatin-leaf-200'), 'soaked')).toBeUndefined();
  });

  it('come back from grams: a round trip for every ingredient, unit and form', () => {
    const ingredients = [...larder.values()];
    fc.assert(
      fc.property(
        fc.nat(ingredients.length - 1),
        fc.constantFrom<MeasureUnit>('ml', 'l', 'flOz', 'cup', 'usCup', 'tbsp', 'tsp', 'oz', 'lb'),
        fc.double({ min: 0.01, max: 50, noNaN: true }),
        (index, unit, amount) => {
          const ingredient = ingredients[index] as (typeof ingredients)[number];
          for (const form of [undefined, ...Object.keys(ingredient.measures)]) {
            const grams = weigh(ingredient, amount, unit, form)?.grams;
            const one = gramsOfOne(ingredient, unit, form);
            if (grams === undefined || one === undefined) continue;
            expect(grams / one).toBeCloseTo(amount, 9);
          }
        },
      ),
    );
  });

  it('show grams as what can be filled, never far off', () => {
    expect(kitchenAmount(chocolate, 210, 'cups', 'chopped')).toMatchObject({ amount: 1.25, unit: 'cup' });
    expect(kitchenAmount(cocoa, 18, 'cups', 'sifted')).toMatchObject({ amount: 10 / 3, unit: 'tbsp' });
    expect(kitchenAmount(get('gelatin-leaf-200'), 14, 'cups')).toMatchObject({ amount: 7, unit: 'leaf' });
    expect(kitchenAmount(get('salt-fine'), 0.2, 'cups')?.unit).toBe('pinch');
    expect(kitchenAmount(chocolate, 453.6, 'ounces')).toMatchObject({ amount: 1, unit: 'lb' });
    expect(kitchenAmount(chocolate, 100, 'grams')).toBeUndefined();
    fc.assert(
      fc.property(fc.double({ min: 8, max: 2000, noNaN: true }), (grams) => {
        const shown = kitchenAmount(chocolate, grams, 'cups', 'chopped');
        expect(shown && Math.abs(Math.log(shown.grams / grams))).toBeLessThan(0.29);
      }),
    );
  });

  it('round to the nearest part', () => {
    expect(nearestPart(1.3, [0, 1 / 4, 1 / 3, 1 / 2])).toBeCloseTo(1 + 1 / 3, 9);
    expect(nearestPart(1.9, [0, 1 / 2])).toBe(2);
  });
});
