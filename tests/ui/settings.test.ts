import fc from 'fast-check';
import { afterEach, describe, expect, it } from 'vitest';
import { type KitchenSettings, localeOf, NUMBER_LOCALES, USUAL_SETTINGS } from '@/formats/settings';
import { CELSIUS_UNITS, lengthUnits } from '@/ui/field-units';
import { celsius, centimetres, grams, millimetres, money, priceByWeight, significant, weight } from '@/ui/format';
import { gramsRules, measureRules } from '@/ui/kitchen-measure';
import { type AmountRules, GRAMS, parseAmount } from '@/ui/parse-amount';
import { QUANTITY_WORDS } from '@/ui/quantity-words';
import { fixed, numeral } from '@/ui/settings/numerals';
import { roundDegrees } from '@/ui/settings/round-degrees';
import { showAs } from '@/ui/settings/shown-as';
import { shownField } from '@/ui/settings/shown-rules';
import { BY_WEIGHT } from '@/ui/settings/shown-units';
import { larder } from '../support/kitchen';

const as = (change: Partial<KitchenSettings>) => showAs({ ...USUAL_SETTINGS, ...change });
afterEach(() => showAs(USUAL_SETTINGS));

const plain = (text: string) => text.replace(/[\u202f\u00a0]/g, ' ');
const OVEN: AmountRules = { least: -5, most: 110, unit: '°C', units: CELSIUS_UNITS, example: '32' };
const THICK: AmountRules = { least: 0, most: 60, unit: 'mm', units: lengthUnits('mm'), example: '2' };

/** What a cook's typing comes to in what is kept, through a field as shown. */
function typed(text: string, rules: AmountRules, now?: number): number | string {
  const field = shownField(rules, String);
  const parsed = parseAmount(text, field.rules, now === undefined ? undefined : field.toShown(now));
  return parsed.ok ? field.toKept(parsed.value) : parsed.message;
}

describe('figures in the way of the kitchen', () => {
  it('are metric with a point and thin spaces until something is chosen', () => {
    expect([weight(1250.54), celsius(36.5), millimetres(2), centimetres(24)].map(plain)).toEqual([
      '1 250.5 g',
      '36.5 °C',
      '2 mm',
      '24 cm',
    ]);
    expect(priceByWeight(9.5)).toBe('€9.50/kg');
  });

  it('take comma, sign of money and its place from the locale', () => {
    as({ numbers: 'de-DE' });
    expect([weight(1250.54), numeral(0.5, 2), fixed(0.5, 2), significant(0.0123)].map(plain)).toEqual([
      '1 250,5 g',
      '0,5',
      '0,50',
      '0,012',
    ]);
    expect(plain(money(0.35))).toBe('0,35 €');
    as({ currency: 'CHF', numbers: 'de-CH' });
    expect(plain(priceByWeight(9.5))).toBe('CHF 9.50/kg');
    as({ currency: 'JPY' });
    expect(plain(money(52))).toBe('¥52');
  });

  it('are written in every locale so that the field they stand in reads them again', () => {
    for (const numbers of NUMBER_LOCALES) {
      as({ numbers });
      fc.assert(
        fc.property(fc.integer({ min: 0, max: 99_999_999 }), (thousandths) => {
          const value = thousandths / 1000;
          const field = shownField(GRAMS, (each) => String(each));
          expect(typed(field.text(value), GRAMS)).toBe(value);
        }),
        { numRuns: 200 },
      );
    }
  });

  it('are °F, ounces, inches and a price by the pound where those are chosen', () => {
    as({ temperature: 'F', weight: 'oz', length: 'in', currency: 'USD' });
    expect([celsius(100), weight(850), weight(28.35), weight(1), millimetres(2), centimetres(24)].map(plain)).toEqual([
      '212 °F',
      '30 oz',
      '1 oz',
      '0.035 oz',
      '0.08 in',
      '9.4 in',
    ]);
    // 10 a kilogram are 4.5359 a pound.
    expect(priceByWeight(10)).toBe('$4.54/lb');
    expect(QUANTITY_WORDS.costPerKg.show(10).number).toBe('$4.54/lb');
    expect(grams(5000)).toBe('176.4');
  });

  it('name no currency in the words of a quantity', () => {
    expect(JSON.stringify(QUANTITY_WORDS)).not.toMatch(/€|EUR/);
  });

  it('mark an axis at round degrees of either kind', () => {
    expect(roundDegrees(65, 2, 10)).toEqual([60, 50, 40, 30, 20, 10]);
    as({ temperature: 'F' });
    for (const t of roundDegrees(65, 2, 10)) expect(((t * 9) / 5 + 32) % 10).toBeCloseTo(0, 6);
  });
});

describe('typing in the way of the kitchen', () => {
  it('a number alone is in the unit shown, a unit behind it is understood whatever is chosen', () => {
    as({ temperature: 'F', weight: 'oz', length: 'in' });
    expect(typed('212', OVEN)).toBe(100);
    expect(typed('100 °C', OVEN)).toBe(100);
    expect(typed('212 °F', OVEN)).toBe(100);
    expect(typed('10', GRAMS)).toBeCloseTo(283.495, 3);
    expect(typed('250 g', GRAMS)).toBeCloseTo(250, 6);
    expect(typed('1 lb', GRAMS)).toBeCloseTo(453.592, 3);
    expect(typed('1/8', THICK)).toBeCloseTo(3.175, 6);
    expect(typed('3 mm', THICK)).toBe(3);
    as({});
    expect(typed('212 °F', OVEN)).toBe(100);
    expect(typed('2 oz', GRAMS)).toBeCloseTo(56.699, 3);
    expect(typed('1/8 in', THICK)).toBeCloseTo(3.175, 6);
  });

  it('cups and spoons of a row weigh the same whatever is shown', () => {
    const butter = larder.get('butter-unsalted-82');
    const grams = typed('2 tbsp', gramsRules(butter, undefined));
    as({ weight: 'oz' });
    expect(typed('2 tbsp', gramsRules(butter, undefined))).toBeCloseTo(grams as number, 3);
    // The measure beside the weight stays a measure.
    expect(butter && shownField(measureRules(butter, undefined), () => '¼ stick').text(28)).toBe('¼ stick');
  });

  it('limits are said in the unit shown', () => {
    as({ temperature: 'F' });
    expect(typed('400', OVEN)).toContain("can't be more than 230 °F");
    expect(typed('20', OVEN)).toContain("can't be below 23 °F");
    expect(typed('warm', OVEN)).toContain('like 89.6');
  });

  it('the limits themselves can be typed, and what is kept never leaves them', () => {
    as({ temperature: 'F', weight: 'oz', length: 'in' });
    for (const rules of [OVEN, GRAMS, THICK]) {
      const field = shownField(rules, String);
      for (const limit of [rules.least, rules.most]) expect(field.toKept(field.toShown(limit))).toBe(limit);
    }
  });

  it('what is shown and kept again is the same to a ten-thousandth', () => {
    as({ temperature: 'F', weight: 'oz', length: 'in' });
    fc.assert(
      fc.property(fc.double({ min: 0, max: 100, noNaN: true }), (value) => {
        for (const rules of [OVEN, GRAMS]) {
          const field = shownField(rules, String);
          expect(field.toKept(field.toShown(value))).toBeCloseTo(value, 4);
        }
      }),
    );
  });

  it('a comma parts decimals where that is the way, and is asked where it may part thousands', () => {
    expect(typed('1,250', GRAMS)).toMatch(/Is that 1250 or 1.25\?/);
    expect(typed('1.250', GRAMS)).toBe(1.25);
    as({ numbers: 'de-DE' });
    expect(typed('1,250', GRAMS)).toBe(1.25);
    expect(typed('1.250', GRAMS)).toMatch(/Is that 1250 or 1.25\?/);
    expect(typed('1.250,5', GRAMS)).toBe(1250.5);
    expect(typed('1.250', OVEN)).toMatch(/1\s250 °C or 1,25 °C\? Choose, or type it without the point/);
  });

  it('a price is typed as it is shown', () => {
    const price: AmountRules = { least: 0, most: 1e6, unit: BY_WEIGHT, units: {}, example: '9.50' };
    as({ weight: 'oz' });
    expect(typed('4.5359237', price)).toBe(10);
  });
});

describe('the language a browser asks for', () => {
  it('decides by its first entry that is known', () => {
    expect(localeOf('de-AT,de;q=0.9,en;q=0.8')).toBe('de-DE');
    expect(localeOf('en-US,en;q=0.5')).toBe('en-US');
    expect(localeOf('xx, fr-CA;q=0.7')).toBe('fr-FR');
    expect(localeOf('')).toBeUndefined();
    expect(localeOf('*')).toBeUndefined();
  });
});
