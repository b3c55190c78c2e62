import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { grams, significant, stress } from '@/ui/format';
import { behaviour, nearestLandmark } from '@/ui/landmarks';
import { canBeTyped, GRAMS, parseAmount } from '@/ui/parse-amount';

describe('reading an amount', () => {
  it.each([
    ['12', 12],
    ['12.5', 12.5],
    ['12,5', 12.5],
    [' 12 g ', 12],
    ['12g', 12],
    ['1/2', 0.5],
    ['1 1/4', 1.25],
    ['1½', 1.5],
    ['¾ kg', 750],
    ['0,2 kg', 200],
    ['1 250', 1250],
    ['1\u202f250 g', 1250],
    ['.5', 0.5],
    ['0', 0],
    ['1e3', 1000],
  ])('%s is %d g', (typed, value) => {
    expect(parseAmount(typed, GRAMS)).toEqual({ ok: true, value });
  });

  it.each([
    ['', 'Type a number'],
    ['   ', 'Type a number'],
    ['-5', "can't be below 0 g"],
    ['1e9', "can't be more than 100\u202f000 g"],
    ['100001', "can't be more than 100\u202f000 g"],
    ['NaN', "isn't a number"],
    ['Infinity', "isn't a number"],
    ['abc', "isn't a number"],
    ['1/0', "isn't a number"],
    ['1,250', 'Is that 1250 or 1.25?'],
    ['12\n13', 'several lines'],
    ['12 cups', 'Only g, kg, oz and lb'],
    ['12.5.3', "isn't a number"],
    ['1e999', "isn't a number"],
    ['=1+1', "isn't a number"],
  ])('%j is refused with a reason', (typed, words) => {
    const parsed = parseAmount(typed, GRAMS);
    expect(parsed.ok).toBe(false);
    expect(!parsed.ok && parsed.message).toContain(words);
  });

  it('never gives anything but a number within the limits, whatever is typed', () => {
    fc.assert(
      fc.property(
        fc.oneof(fc.string(), fc.double().map(String), fc.stringMatching(/^[\d\s.,/eE+-]{0,12}( ?k?g)?$/)),
        (typed) => {
          const parsed = parseAmount(typed, GRAMS);
          if (parsed.ok) {
            expect(Number.isFinite(parsed.value)).toBe(true);
            expect(parsed.value).toBeGreaterThanOrEqual(0);
            expect(parsed.value).toBeLessThanOrEqual(100_000);
          } else expect(parsed.message.length).toBeGreaterThan(5);
        },
      ),
      { numRuns: 2000 },
    );
  });

  it('reads back what the app writes', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 999_999 }), (tenths) => {
        const value = tenths / 10;
        expect(parseAmount(grams(value), GRAMS)).toEqual({ ok: true, value });
      }),
    );
  });
});

describe('writing numbers', () => {
  it.each([
    [0, '0'],
    [2.0583, '2.1'],
    [0.00234, '0.0023'],
    [673.2, '670'],
    [9.96, '10'],
    [12345, '12\u202f000'],
    [Number.NaN, '–'],
    [Number.POSITIVE_INFINITY, '–'],
  ])('%d to two digits is %s', (value, text) => {
    expect(significant(value)).toBe(text);
  });

  it('says none for a yield stress nobody could feel, kPa above 1000 Pa', () => {
    expect(stress(1e-6)).toEqual({ number: 'none', unit: '' });
    expect(stress(3126)).toEqual({ number: '3.1', unit: 'kPa' });
    expect(stress(149)).toEqual({ number: '150', unit: 'Pa' });
  });

  it('has a word for every resistance, stiffer words for stiffer things', () => {
    expect([0.1, 5, 20, 100, 900, 9000, 5e4, 1e6].map(behaviour)).toEqual([
      'runs',
      'pours',
      'coats',
      'mounds',
      'spreads',
      'holds firm',
      'cuts',
      'snaps',
    ]);
    expect(nearestLandmark(11)).toBe('runny honey');
    expect(nearestLandmark(0)).toBe('water');
  });
});

describe('letters in a number', () => {
  const hours = { least: 0, most: 99, unit: 'h', units: { h: 1, min: 1 / 60 }, example: '2' };
  const count = { least: 0, most: 99, unit: '', units: {}, example: '2' };

  it('are typed only where a unit has them', () => {
    for (const key of ['h', 'M', 'i', 'n']) expect(canBeTyped(key, hours), key).toBe(true);
    for (const key of ['b', 'L', 'é', 'д']) expect(canBeTyped(key, hours), key).toBe(false);
    for (const key of ['b', 'h', 'x']) expect(canBeTyped(key, count), key).toBe(false);
    for (const key of ['b', 'é']) expect(canBeTyped(key, GRAMS), key).toBe(true);
    expect(canBeTyped('x', { ...count, scales: true })).toBe(true);
  });

  it('figures, signs and keys with a name of their own pass', () => {
    for (const key of ['1', ',', '.', '-', '½', ' ', 'Tab', 'Backspace', 'ArrowLeft']) {
      expect(canBeTyped(key, count), key).toBe(true);
    }
  });
});
