import { describe, expect, it } from 'vitest';
import { readTypedPan, typedFormula, writeTypedPan } from '@/formats/typed-pan';

describe('a pan typed by hand', () => {
  it.each([
    [[{ ingredient: 'cream-35', grams: 200.5 }]],
    [
      [
        { ingredient: 'a,b:c & d', grams: 1 },
        { ingredient: 'crème brûlée', grams: 99_999 },
      ],
    ],
  ])('goes into an address and comes back', (rows) => {
    const address = new URLSearchParams({ rows: writeTypedPan(rows) }).toString();
    expect(readTypedPan(new URLSearchParams(address).get('rows') ?? '')).toEqual(rows);
  });

  it.each([
    '',
    'cream-35',
    'cream-35:-3',
    'cream-35:NaN',
    'cream-35:1e9',
    '%E0%A4%A:3',
    `${'a:1,'.repeat(60)}a:1`,
    'constructor:5',
  ])('refuses %j', (text) => {
    expect(readTypedPan(text)).toBeUndefined();
  });

  it('is a formula that can be rescued', () => {
    const file = typedFormula('Pan', [{ ingredient: 'cream-35', grams: 200 }], {
      use: 'coat_eclair',
      moments: [],
      gates: [],
    });
    expect(file.lines).toEqual([{ ingredient: 'cream-35', grams: 200, locked: false }]);
  });
});
