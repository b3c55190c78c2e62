import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readAmount, readNumber } from '@/formats/amount';
import { COUNT_WORDS, UNIT_WORDS } from '@/formats/unit-words';

describe('an amount as cooks write it', () => {
  it.each([
    ['1 250 g', 1250, 'g'],
    ["1'250 g", 1250, 'g'],
    ['1.250,5 g', 1250.5, 'g'],
    ['1,250.5 g', 1250.5, 'g'],
    ['½ cup', 0.5, 'cup'],
    ['1½ cups', 1.5, 'cup'],
    ['1 1/4 cup', 1.25, 'cup'],
    ['3/4 C', 0.75, 'cup'],
    ['2 x 100 g', 200, 'g'],
    ['2 EL', 2, 'tbsp'],
    ['1 TL', 1, 'tsp'],
    ['3 Tbs', 3, 'tbsp'],
    ['1 oz.', 1, 'oz'],
    ['5 cl', 5, 'cl'],
    ['2 dl', 2, 'dl'],
    ['1 fl oz', 1, 'flOz'],
    ['1 stick', 1, 'stick'],
    ['1 dozen eggs', 12, undefined],
    ['half a cup', 0.5, 'cup'],
    ['2 cuillères à soupe', 2, 'tbsp'],
    ['1 yemek kaşığı', 1, 'tbsp'],
    ['एक कप', 1, 'cup'],
  ])('%s', (text, amount, unit) => {
    const read = readAmount(text);
    expect(read).toMatchObject({ amount, unit });
    expect(read?.asks).toBeUndefined();
  });

  it.each([
    ['1,250 g', 1250, [1.25]],
    ['1-2 tbsp', 1.5, [1, 2]],
    ['2 – 3 g', 2.5, [2, 3]],
    ['1 to 2 cups', 1.5, [1, 2]],
    ['1 T', 1, [1]],
    ['2 Löffel', 2, []],
    ['1 Prise', 1, []],
    ['a pinch', 1, []],
    ['a knob', 15, []],
  ])('%s is asked, with a proposal', (text, amount, others) => {
    const read = readAmount(text);
    expect(read?.asks).toBeTruthy();
    expect(read?.amount).toBe(amount);
    expect(read?.others.map((each) => each.amount)).toEqual(others);
  });

  it('law: every unit word is understood behind a number, whatever its case, and takes nothing of what follows', () => {
    for (const [word, { unit }] of UNIT_WORDS) {
      for (const typed of [word, word.toUpperCase()]) {
        const read = readAmount(`2 ${typed} butter`);
        if (/^t$/i.test(typed)) continue;
        expect(read?.unit, typed).toBe(unit);
        expect(read?.rest.trim(), typed).toBe('butter');
      }
    }
    for (const [word, times] of COUNT_WORDS) expect(readAmount(`2 ${word} eggs`)?.amount).toBe(2 * times);
  });

  it('law: whatever is typed, an amount is a number, and nothing is eaten without being understood', () => {
    fc.assert(
      fc.property(fc.oneof(fc.string(), fc.stringMatching(/^[\d½¼ ,./x-]{0,8} ?[a-zA-Z]{0,6}$/)), (text) => {
        const read = readAmount(text);
        if (!read) return;
        expect(Number.isNaN(read.amount)).toBe(false);
        expect(text.replace(/\s+/g, ' ').endsWith(read.rest)).toBe(true);
      }),
      { numRuns: 3000 },
    );
  });

  it('law: plain numbers come back, with either decimal sign', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 999_999 }), (hundredths) => {
        const value = hundredths / 100;
        expect(readNumber(String(value))).toBe(value);
        expect(readNumber(String(value).replace('.', ','))).toBe(value);
      }),
    );
  });
});
