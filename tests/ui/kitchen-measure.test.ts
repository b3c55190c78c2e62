import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type CupSystem, gramsPerMl, kitchenAmount, type MeasureSystem } from '@/core/matter/measures';
import type { Ingredient } from '@/formats/ingredient';
import { besideGrams, cooksNumber, gramsRules, measureRules, measureText } from '@/ui/kitchen-measure';
import { GRAMS, parseAmount } from '@/ui/parse-amount';
import { larder } from '../support/kitchen';

const cocoa = larder.get('cocoa-alkalised-22');
const chocolate = larder.get('dark-couverture-64');

describe('measures as cooks write them', () => {
  it('uses fractions', () => {
    expect(cooksNumber(1.25)).toBe('1 ¼');
    expect(cooksNumber(2 / 3)).toBe('⅔');
    expect(cooksNumber(3)).toBe('3');
    expect(measureText({ amount: 1.5, unit: 'usCup', isAbout: false })).toBe('1 ½\u00a0US cup');
  });

  it('stands beside grams in the cook’s system, by the form said', () => {
    expect(besideGrams(chocolate, 210, 'cups', 'chopped small')).toBe('1 ¼\u00a0cup');
    // 210 g / (0.67 g/ml × 240 ml) = 1.31 cups: a third is within 3 %.
    expect(besideGrams(chocolate, 210, 'cups', 'chopped', 'us')).toBe('1 ⅓\u00a0cup');
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
    expect(grams('1 US cup', 'chopped')).toBeCloseTo(0.67 * 240, 6);
  });

  it('and says what it cannot read', () => {
    expect(grams('3 barrels')).toMatch(/can be read here/);
    expect(grams('-1 cup')).toMatch(/below 0/);
  });
});

describe('the measure beside the grams', () => {
  const rules = measureRules(chocolate as Ingredient, 'chopped');

  it('wants its unit: a number alone could be cups or spoons', () => {
    expect(parseAmount('2', rules)).toEqual({ ok: false, message: '2 of what? Type it like 1 1/4 cup.' });
  });

  it('reads back what it writes, for every amount a cook can fill', () => {
    for (const system of ['cups', 'ounces'] as MeasureSystem[]) {
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

describe('kitchen words in a grams field', () => {
  const butter = larder.get('butter-unsalted-82') as Ingredient;
  const read = (typed: string, of: Ingredient = butter, cups: CupSystem = 'metric') =>
    parseAmount(typed, gramsRules(of, undefined, cups, of.name));
  const value = (typed: string, of?: Ingredient, cups?: CupSystem) => {
    const parsed = read(typed, of, cups);
    return parsed.ok ? parsed.value : parsed.message;
  };

  it.each([
    ['2 tbsp butter', 2 * 15 * 0.95],
    ['2 EL', 2 * 15 * 0.95],
    ['1 TL', 5 * 0.95],
    ['5 cl', 50 * 0.95],
    ['2 dl', 200 * 0.95],
    ['½ stick', 56.7],
    ['1 oz.', 28.349523125],
    ['2 x 100 g', 200],
    ['1 250 g', 1250],
  ])('%s of butter', (typed, grams) => {
    const perMl = gramsPerMl(butter) ?? 0;
    expect(value(typed)).toBeCloseTo(typed.includes('g') || /oz|stick/.test(typed) ? grams : (grams / 0.95) * perMl, 6);
  });

  it('asks what can be understood in several ways, the likeliest first, and never takes the bare number', () => {
    for (const [typed, message, values] of [
      ['1,250 g', /1250 or 1.25/, [1250, 1.25]],
      ['1-2 oz', /Between 1 and 2/, [1.5, 1, 2].map((oz) => oz * 28.349523125)],
      ['1 T', /tablespoon or a teaspoon/, [15, 5].map((ml) => ml * (gramsPerMl(butter) ?? 0))],
      ['a knob', /about 15 g/, [15]],
      ['2 butter', /2 of what/, [2]],
    ] as const) {
      const parsed = read(typed);
      expect(parsed.ok, typed).toBe(false);
      if (parsed.ok) continue;
      expect(parsed.message).toMatch(message);
      expect(parsed.proposals?.map((each) => each.value)).toEqual(values.map((each) => expect.closeTo(each, 6)));
    }
    expect(value('3 barrels of butter')).toMatch(/of what|not this row|can be read/);
    expect(value('2 tbsp sugar')).toContain('is not this row');
  });

  it('counts pieces by their name', () => {
    const egg = larder.get('egg-whole') as Ingredient;
    expect(value('2 eggs', egg)).toBe(2 * (egg.pieces.egg ?? 0));
  });

  it('cups are the kitchen’s own, and a size written beside one goes before them', () => {
    const cream = larder.get('cream-35') as Ingredient;
    const perMl = gramsPerMl(cream) ?? 0;
    expect(value('1 cup', cream, 'metric')).toBeCloseTo(250 * perMl, 6);
    expect(value('1 cup', cream, 'us')).toBeCloseTo(240 * perMl, 6);
    expect(value('1 cup', cream, 'imperial')).toBeCloseTo(284.130625 * perMl, 6);
    expect(value('1 tbsp', cream, 'australian')).toBeCloseTo(20 * perMl, 6);
    expect(value('2 cups (480 ml)', cream, 'metric')).toBeCloseTo(480 * perMl, 6);
  });

  it('“3x” takes the batch three times', () => {
    const rules = { ...GRAMS, least: 1, scales: true };
    for (const typed of ['3x', 'x3', '×3', '3 ×'])
      expect(parseAmount(typed, rules, 420)).toEqual({ ok: true, value: 1260 });
    expect(parseAmount('x½', rules, 420)).toEqual({ ok: true, value: 210 });
    expect(parseAmount('3x', GRAMS, 420).ok).toBe(false);
    expect(parseAmount('x1000000', rules, 420).ok).toBe(false);
  });

  it('a measure beside the grams is right within 3 %, or is an about', () => {
    expect(besideGrams(butter, 28.8, 'cups', undefined)).toBe('¼\u00a0stick');
    fc.assert(
      fc.property(
        fc.constantFrom(...larder.values()),
        fc.double({ min: 0.5, max: 3000, noNaN: true }),
        fc.constantFrom<CupSystem>('metric', 'us', 'imperial', 'australian'),
        (ingredient, grams, cups) => {
          const shown = kitchenAmount(ingredient, grams, 'cups', undefined, cups);
          if (shown && !shown.isAbout) expect(Math.abs(shown.grams / grams - 1)).toBeLessThanOrEqual(0.03 + 1e-9);
        },
      ),
    );
  });
});
