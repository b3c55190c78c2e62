import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { afterBoiling, ingredientOrder } from '@/core/label/ingredient-order';
import { nutritionPanel } from '@/core/label/nutrition-schools';
import { compositionVector } from '@/core/matter/components';
import { type Nutrition, nutrition } from '@/core/matter/nutrition';

const WATER = compositionVector({ water: 100 });
const CREAM = compositionVector({ water: 60, milk_fat: 35, milk_protein: 2, lactose: 3 });
const CHOCOLATE = compositionVector({ water: 0.6, cocoa_butter: 38, cocoa_solids: 22, sucrose: 39 });

describe('what is left of each row', () => {
  it('added water goes first, then the rest by the water in it', () => {
    const rows = [
      { grams: 100, perGram: WATER },
      { grams: 200, perGram: CREAM },
    ];
    expect(afterBoiling(rows, 40)).toEqual([60, 200]);
    // 100 g of plain water, and 20 g of the 120 g in the cream.
    expect(afterBoiling(rows, 120)[0]).toBeCloseTo(0, 9);
    expect(afterBoiling(rows, 120)[1]).toBeCloseTo(180, 9);
    expect(afterBoiling(rows, 0)).toEqual([100, 200]);
  });

  it('loses just what boiled off, never more water than there is, and nothing goes below nothing', () => {
    const grams = fc.double({ min: 0, max: 5000, noNaN: true });
    fc.assert(
      fc.property(grams, grams, grams, grams, (water, cream, chocolate, lost) => {
        const rows = [
          { grams: water, perGram: WATER },
          { grams: cream, perGram: CREAM },
          { grams: chocolate, perGram: CHOCOLATE },
        ];
        const left = afterBoiling(rows, lost);
        const there = water + 0.6 * cream + 0.006 * chocolate;
        const gone = water + cream + chocolate - left.reduce((sum, each) => sum + each, 0);
        expect(gone).toBeCloseTo(Math.min(lost, there), 5);
        expect(Math.min(...left)).toBeGreaterThanOrEqual(-1e-9);
      }),
    );
  });
});

describe('the order of a label', () => {
  it('is by weight after boiling, the same ingredient once, with what went in per 100 g', () => {
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

  it('does not list what has boiled away altogether', () => {
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
});

const FIGURES: Nutrition = {
  energyKj: 1654.4,
  energyKcal: 396.2,
  fat: 25.44,
  saturates: 4.62,
  carbohydrate: 31.2,
  sugars: 9.96,
  polyols: 0,
  fibre: 0.4,
  protein: 0.72,
  salt: 0.31,
  alcohol: 0,
};
const of = (school: 'eu' | 'us', figures = FIGURES, portion = 10) =>
  new Map(nutritionPanel(figures, portion, school).map((line) => [line.name, [line.per100, line.perPortion]]));

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
    expect(panel.get('Energy')).toEqual(['1654 kJ / 396 kcal', '165 kJ / 40 kcal']);
    expect(panel.get('Fat')).toEqual(['25 g', '2.5 g']);
    expect(panel.get('of which saturates')).toEqual(['4.6 g', '0.5 g']);
    expect(panel.get('of which sugars')).toEqual(['10.0 g', '1.0 g']);
    expect(panel.get('Fibre')).toEqual(['<0.5 g', '<0.5 g']);
    expect(panel.get('Salt')).toEqual(['0.31 g', '0.03 g']);
  });

  it('of the American school by hand', () => {
    const panel = of('us', FIGURES, 30);
    // 118.86 kcal to 120; 7.6 g of fat to 8; saturates 1.386 to 1.5; sodium 0.31 g of salt are 124 mg, of 30 g 37.2 to 35.
    expect(panel.get('Calories')).toEqual(['400', '120']);
    expect(panel.get('Total Fat')).toEqual(['25 g', '8 g']);
    expect(panel.get('Saturated Fat')).toEqual(['4.5 g', '1.5 g']);
    expect(panel.get('Sodium')).toEqual(['125 mg', '35 mg']);
    expect(panel.get('Total Carbohydrate')).toEqual(['32 g', '9 g']);
    expect(panel.get('Dietary Fiber')).toEqual(['0 g', '0 g']);
    expect(panel.get('Protein')).toEqual(['less than 1 g', '0 g']);
  });

  it('rounds sodium to tens above 140 mg', () => {
    const salted = { ...FIGURES, salt: 0.9075 };
    // 363 mg; of 10 g 36.3.
    expect(of('us', salted, 10).get('Sodium')).toEqual(['360 mg', '35 mg']);
  });

  it('names polyols only where there are some', () => {
    const sweet = nutrition(compositionVector({ maltitol: 30, water: 70 }));
    expect(of('eu', sweet).get('of which polyols')).toEqual(['30 g', '3.0 g']);
    expect(of('us', sweet).get('Sugar Alcohol')).toEqual(['30 g', '3 g']);
    expect(of('eu').has('of which polyols')).toBe(false);
  });
});
