import { describe, expect, it } from 'vitest';
import type { MeasureSystem } from '@/core/matter/measures';
import type { Ingredient } from '@/formats/ingredient';
import { besideGrams, cooksNumber, gramsRules, measureRules, measureText } from '@/ui/kitchen-measure';
import { parseAmount } from '@/ui/parse-amount';
import { larder } from '../support/kitchen';

const cocoa = larder.get('cocoa-alkalised-22');
const chocolate = larder.get('dark-couverture-64');

describe('measures as cooks write them', () => {
  it('uses fractions', () => {
    expect(cooksNumber(1.25)).toBe('1 ¼');
    expect(cooksNumber(2 / 3)).toBe('⅔');
    expect(cooksNumber(3)).toBe('3');
    expect(measureText({ amount: 1.5, unit: 'usCup' })).toBe('1 ½\u00a0US cup');
  });

  it('stands beside grams in the cook’s system, by the form said', () => {
    expect(besideGrams(chocolate, 210, 'cups', 'chopped small')).toBe('1 ¼\u00a0cup');
    expect(besideGrams(chocolate, 210, 'usCups', 'chopped')).toBe('1 ⅓\u00a0US cup');
    expect(besideGrams(chocolate, 113.4, 'ounces', undefined)).toBe('4\u00a0oz');
    expect(besideGrams(chocolate, 210, 'grams', 'chopped')).toBeUndefined();
    expect(besideGrams(undefined, 210, 'cups', undefined)).toBeUndefined();
  });
});

describe('a grams field reads the ingredient’s own measures', () => {
  const grams = (typed: string, words?: string, of = chocolate) => {
    const parsed = parseAmount(typed, gramsRules(of, words));
    return parsed.ok ? parsed.value : parsed.message;
  };

  it('cups, spoons, ounces and pieces, with fractions', () => {
    expect(grams('1 1/4 cup', 'chopped')).toBeCloseTo(209.375, 6);
    expect(grams('1¼ cups', 'chopped')).toBeCloseTo(209.375, 6);
    expect(grams('2 tbsp', 'sifted', cocoa)).toBeCloseTo(10.8, 6);
    expect(grams('1/2 lb')).toBeCloseTo(226.796, 3);
    expect(grams('2 sticks', undefined, larder.get('butter-unsalted-82'))).toBeCloseTo(226.8, 6);
    expect(grams('7 leaves', undefined, larder.get('gelatin-leaf-200'))).toBeCloseTo(14, 6);
    expect(grams('1 US cup', 'chopped')).toBeCloseTo(158.51, 1);
  });

  it('and says what it cannot read', () => {
    expect(grams('3 barrels')).toMatch(/^Only .* can be read here/);
    expect(grams('-1 cup')).toMatch(/below 0/);
  });
});

describe('the measure beside the grams', () => {
  const rules = measureRules(chocolate as Ingredient, 'chopped');

  it('wants its unit: a number alone could be cups or spoons', () => {
    expect(parseAmount('2', rules)).toEqual({ ok: false, message: '2 of what? Type it like 1 1/4 cup.' });
  });

  it('reads back what it writes, for every amount a cook can fill', () => {
    for (const system of ['cups', 'usCups', 'ounces'] as MeasureSystem[]) {
      for (const grams of [2.1, 10.3, 42, 83.75, 209.375, 335, 502.5]) {
        const text = besideGrams(chocolate, grams, system, 'chopped');
        if (text === undefined) continue;
        const parsed = parseAmount(text, rules);
        expect(parsed).toMatchObject({ ok: true });
        expect(besideGrams(chocolate, parsed.ok ? parsed.value : 0, system, 'chopped')).toBe(text);
      }
    }
  });
});
