import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ingredientOrder } from '@/core/label/ingredient-order';
import { nutritionPanel } from '@/core/label/nutrition-schools';
import { compositionVector } from '@/core/matter/components';

const WATER = compositionVector({ water: 100 });
const CREAM = compositionVector({ water: 60, milk_fat: 35, milk_protein: 2, lactose: 3 });
const CHOCOLATE = compositionVector({ water: 0.6, cocoa_butter: 38, cocoa_solids: 22, sucrose: 39 });

describe('the order of a label', () => {
  it('is by weight as used, the same ingredient once, with what went in per 100 g of what came out', () => {
    const listed = ingredientOrder(
      [
        { name: 'water', grams: 210, perGram: WATER },
        { name: 'dark chocolate', grams: 150, perGram: CHOCOLATE },
        { name: 'cream', grams: 90, perGram: CREAM },
        { name: 'dark chocolate', grams: 50, perGram: CHOCOLATE },
        { name: 'rum', grams: 0, perGram: WATER },
      ],
      100,
    );
    expect([...listed.keys()]).toEqual(['dark chocolate', 'water', 'cream']);
    expect(listed.get('water')?.grams).toBeCloseTo(110, 9);
    // 200 g in 400 g of finished sauce.
    expect(listed.get('dark chocolate')?.percent).toBeCloseTo(50, 9);
  });

  it('water that boils out of cream takes nothing from the cream: it stands as it was used', () => {
    const listed = ingredientOrder(
      [
        { name: 'dark chocolate', grams: 100, perGram: CHOCOLATE },
        { name: 'cream', grams: 102.6, perGram: CREAM },
      ],
      20,
    );
    expect([...listed.keys()]).toEqual(['cream', 'dark chocolate']);
    expect(listed.get('cream')).toEqual({ grams: 102.6, percent: expect.closeTo(100 * (102.6 / 182.6), 9) });
  });

  it('does not list added water that has boiled away altogether', () => {
    const listed = ingredientOrder(
      [
        { name: 'water', grams: 50, perGram: WATER },
        { name: 'cream', grams: 100, perGram: CREAM },
      ],
      60,
    );
    expect([...listed.keys()]).toEqual(['cream']);
    expect(listed.get('cream')?.percent).toBeCloseTo(100 * (100 / 90), 6);
  });

  it('never counts more than was used, nor less of anything but water, whatever boils off', () => {
    const grams = fc.double({ min: 0.1, max: 5000, noNaN: true });
    fc.assert(
      fc.property(
        grams,
        grams,
        grams,
        fc.double({ min: 0, max: 0.95, noNaN: true }),
        (water, cream, chocolate, part) => {
          const lost = part * (water + 0.6 * cream);
          const listed = ingredientOrder(
            [
              { name: 'cream', grams: cream, perGram: CREAM },
              { name: 'water', grams: water, perGram: WATER },
              { name: 'chocolate', grams: chocolate, perGram: CHOCOLATE },
            ],
            lost,
          );
          expect(listed.get('cream')?.grams).toBe(cream);
          expect(listed.get('chocolate')?.grams).toBe(chocolate);
          expect(listed.get('water')?.grams ?? 0).toBeCloseTo(Math.max(water - lost, 0), 5);
          const order = [...listed.values()].map((each) => each.grams);
          expect(order).toEqual(order.toSorted((a, b) => b - a));
        },
      ),
    );
  });
});

/** 25.4 g of fat of which 4.6 g saturates, 31.2 g of carbohydrate of which 9.96 g sugars, 0.4 g fibre, 0.72 g protein, 0.31 g salt. */
const SAMPLE = compositionVector({
  milk_fat: 3.385,
  liquid_oil: 22.015,
  sucrose: 9.96,
  starch: 21.24,
  fibre: 0.4,
  other_protein: 0.72,
  salt: 0.31,
  water: 41.97,
});
const of = (school: 'eu' | 'us', components = SAMPLE, portion = 10) =>
  new Map(nutritionPanel(components, portion, school).map((line) => [line.name, [line.per100, line.perPortion]]));

describe('the panel', () => {
  it('of the European school by hand', () => {
    const panel = of('eu');
    expect([...panel.keys()]).toEqual([
      'Energy',
      'Fat',
      'of which saturates',
      'Carbohydrate',
      'of which sugars',
      'Fibre',
      'Protein',
      'Salt',
    ]);
    // 9 x 25.4 + 4 x 31.2 + 2 x 0.4 + 4 x 0.72 kcal, 37, 17, 8 and 17 kJ.
    expect(panel.get('Energy')).toEqual(['1486 kJ / 357 kcal', '149 kJ / 36 kcal']);
    expect(panel.get('Fat')).toEqual(['25 g', '2.5 g']);
    expect(panel.get('of which saturates')).toEqual(['4.6 g', '0.5 g']);
    // 9.96 is 10.0 to the tenth: from 10 on whole grams.
    expect(panel.get('of which sugars')).toEqual(['10 g', '1.0 g']);
    expect(panel.get('Fibre')).toEqual(['<0.5 g', '<0.5 g']);
    expect(panel.get('Salt')).toEqual(['0.31 g', '0.03 g']);
  });

  it('of the American school by hand', () => {
    const panel = of('us', SAMPLE, 30);
    // 357.1 kcal to 360, 107.1 to 110; 7.62 g of fat to 8; saturates 1.387 to 1.5; sodium 0.31 g of salt are 124 mg, of 30 g 37.2 to 35.
    expect(panel.get('Calories')).toEqual(['360', '110']);
    expect(panel.get('Total Fat')).toEqual(['25 g', '8 g']);
    expect(panel.get('Saturated Fat')).toEqual(['4.5 g', '1.5 g']);
    expect(panel.get('Sodium')).toEqual(['125 mg', '35 mg']);
    expect(panel.get('Total Carbohydrate')).toEqual(['32 g', '9 g']);
    expect(panel.get('Dietary Fiber')).toEqual(['0 g', '0 g']);
    expect(panel.get('Protein')).toEqual(['less than 1 g', '0 g']);
  });

  it('rounds sodium to tens above 140 mg', () => {
    // 363 mg; of 10 g 36.3.
    expect(of('us', compositionVector({ salt: 0.9075, water: 99.0925 }), 10).get('Sodium')).toEqual([
      '360 mg',
      '35 mg',
    ]);
  });

  it('names polyols only where there are some', () => {
    const sweet = compositionVector({ maltitol: 30, water: 70 });
    expect(of('eu', sweet).get('of which polyols')).toEqual(['30 g', '3.0 g']);
    expect(of('us', sweet).get('Sugar Alcohol')).toEqual(['30 g', '3 g']);
    expect(of('eu').has('of which polyols')).toBe(false);
  });

  it('counts allulose as each school does', () => {
    const sweet = compositionVector({ allulose: 50, water: 50 });
    expect(of('eu', sweet).get('of which sugars')).toEqual(['50 g', '5.0 g']);
    expect(of('eu', sweet).get('Energy')).toEqual(['850 kJ / 200 kcal', '85 kJ / 20 kcal']);
    expect(of('us', sweet).get('Total Sugars')).toEqual(['0 g', '0 g']);
    expect(of('us', sweet).get('Total Carbohydrate')).toEqual(['50 g', '5 g']);
    expect(of('us', sweet).get('Calories')).toEqual(['20', '0']);
  });
});
