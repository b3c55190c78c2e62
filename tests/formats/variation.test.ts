import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type FormulaFile, readFormula } from '@/formats/formula-file';
import { applyVariation, variationOf } from '@/formats/variation';
import { fileOf } from '../support/kitchen';

const IDS = ['dark-couverture-60', 'cream-35', 'glucose-syrup-de42', 'butter-unsalted-82', 'rum-40', 'salt-fine'];
const base = readFormula(
  fileOf([
    ['dark-couverture-60', 200, { form: 'chopped' }],
    ['cream-35', 200],
    ['rum-40', 20, { locked: true }],
  ]),
);
const plain = (value: unknown) => JSON.parse(JSON.stringify(value));
const own = (file: FormulaFile) => ({ name: file.name, note: file.note, tags: file.tags });

describe('a variation', () => {
  it('of the same is nothing', () => {
    expect(variationOf(base, { ...base, name: 'Other name' })).toEqual({
      changed: {},
      removed: [],
      added: [],
      parts: {},
    });
  });

  it('brings any variant back exactly: a round trip', () => {
    const line = fc.record({
      ingredient: fc.constantFrom(...IDS),
      grams: fc.integer({ min: 0, max: 500 }),
      locked: fc.boolean(),
      form: fc.option(fc.constantFrom('chopped', 'sifted'), { nil: undefined }),
      maxGrams: fc.option(fc.constant(900), { nil: undefined }),
    });
    const pan = fc.array(line, { maxLength: 8 });
    fc.assert(
      fc.property(pan, pan, fc.boolean(), (a, b, gated) => {
        const from: FormulaFile = { ...base, lines: a };
        const to: FormulaFile = {
          ...base,
          name: 'Child',
          lines: b,
          gates: gated ? [{ moment: 'pour', quantity: 'shine', low: 50 }] : [],
          use: gated ? 'coat_eclair' : undefined,
        };
        expect(plain(applyVariation(from, variationOf(from, to), own(to)))).toEqual(plain(to));
      }),
    );
  });

  it('follows the base in all it does not do differently', () => {
    const child: FormulaFile = {
      ...base,
      name: 'With orange',
      lines: [...base.lines.slice(0, 2), { ingredient: 'orange-liqueur-40', grams: 25, locked: false }],
    };
    const variation = variationOf(base, child);
    const grown: FormulaFile = {
      ...base,
      lines: [
        { ...(base.lines[0] as FormulaFile['lines'][number]), grams: 260 },
        ...base.lines.slice(1),
        { ingredient: 'salt-fine', grams: 1, locked: false },
      ],
    };
    const followed = applyVariation(grown, variation, own(child));
    expect(followed.lines.map(({ ingredient, grams }) => [ingredient, grams])).toEqual([
      ['dark-couverture-60', 260],
      ['cream-35', 200],
      ['orange-liqueur-40', 25],
      ['salt-fine', 1],
    ]);
    expect(followed.name).toBe('With orange');
  });
});
