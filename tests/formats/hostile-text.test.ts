import { describe, expect, it } from 'vitest';
import { recogniseAllergens, saysNone } from '@/formats/allergen-words';
import { readAmount } from '@/formats/amount';
import { foldWords } from '@/formats/fold-words';
import { parseFormulaText } from '@/formats/formula-file';
import { unkeepable } from '@/formats/keepable-text';
import { parseLarderCsv } from '@/formats/larder-csv';
import { findRecipe, findRecipeInPage, plainText } from '@/formats/recipe-json-ld';
import { readRecipe, readRecipeText } from '@/formats/recipe-text';
import { readTypedPan } from '@/formats/typed-pan';
import { GRAMS, parseAmount } from '@/ui/parse-amount';
import { larder } from '../support/kitchen';

const LENGTH = 100_000;
const LONGEST_MS = 100;
const LONGEST_TIMES = 7;
const shelf = [...larder.values()];
const HEADER = 'name,group,water,cocoa_butter\n';

const repeated = (text: string) => text.repeat(Math.ceil(LENGTH / text.length)).slice(0, LENGTH);
/** Each sign and word a reader looks for, over and over, and behind or before what it waits for. */
const PARTS: readonly string[] = [
  ...[' ', '\u00a0', '\t', '(', ')', ',', '.', '/', '½', '0', '9', 'x', '-', 'a', 'é', '"', '""', ';', '\n', '\r\n'],
  ...['e\u0301', '\u0301', '🍫', '\u202e', '\ud800', '1 ', '1/', '1 x ', '1 - ', '1,', '1.000', "1'000 ", '9e9 '],
  ...['one ', 'half a ', 'about ', '(about ', '( (', 'cup ', 'cup (', 'may contain ', 'may contain nuts, ', 'of '],
  ...['milk and ', 'milk,', '[', '{"a":', ',"', '<p>', '&amp;', '=cmd|', '\\u0000', 'sugar\n', '1 g a\n', 'x:1,', '%'],
];
const SHAPES: readonly (readonly [string, string])[] = PARTS.flatMap((part) => {
  const long = repeated(part);
  const name = JSON.stringify(part);
  return [
    [name, long],
    [`1 and ${name}`, `1${long.slice(2)}x`],
    [`${name} and 1 g sugar`, `${long.slice(0, -10)}1 g sugar`],
    [
      `${name} in each line`,
      Array.from({ length: 400 }, (_, i) => `${i} ${part.repeat(200 / part.length)}`).join('\n'),
    ],
  ] as const;
});

const READERS: Readonly<Record<string, (text: string) => unknown>> = {
  'an amount': (text) => readAmount(text, 'either'),
  'a field': (text) => parseAmount(text, GRAMS, 5),
  'a recipe': (text) => readRecipeText(text, shelf),
  'a whole recipe': (text) => readRecipe(text, shelf),
  'a web page': (text) => findRecipeInPage(`<script type="application/ld+json">${text}</script>${text}`),
  'signs of a web page': plainText,
  allergens: (text) => [recogniseAllergens([text]), saysNone(text)],
  'folded words': foldWords,
  'a CSV': (text) => parseLarderCsv(`${HEADER}${text}`),
  'a header of a CSV': parseLarderCsv,
  'JSON-LD': (text) => findRecipe(JSON.parse(text)),
  'a formula': (text) => parseFormulaText(text),
  'a typed pan': readTypedPan,
  'letters that can be kept': unkeepable,
};

/**
 * ms of the processor that a reader takes; of five times the shortest. Not by the clock: where others use this machine, too, a long run waits for
 * them and a short one does not. A refusal in words is an answer.
 */
function shortest(read: (text: string) => unknown, text: string): number {
  let best = Number.POSITIVE_INFINITY;
  for (let i = 0; i < 5 && best > LONGEST_MS; i++) {
    const began = process.cpuUsage();
    try {
      read(text);
    } catch (error) {
      if (!(error instanceof Error) || error instanceof RangeError || error instanceof TypeError) throw error;
    }
    const { user, system } = process.cpuUsage(began);
    best = Math.min(best, (user + system) / 1000);
  }
  return best;
}

describe.each(Object.entries(READERS))('%s of 100 kB', (_, read) => {
  it('is read in less than 100 ms, or in proportion to its length, whatever stands in it', () => {
    // Once to warm up: what is compiled is compiled.
    for (const [, text] of SHAPES.slice(0, 20)) shortest(read, text);
    const slow = SHAPES.flatMap(([name, text]) => {
      const ms = shortest(read, text);
      if (ms <= LONGEST_MS) return [];
      // On a slow machine what counts is that four times as much takes four times as long, and not sixteen times.
      const quarter = shortest(read, text.slice(0, text.length / 4));
      return ms > LONGEST_TIMES * quarter ? [`${name}: ${Math.round(ms)} ms, a quarter ${Math.round(quarter)} ms`] : [];
    });
    expect(slow).toEqual([]);
  });
});

it('what is nested deeper than it is wide is looked through', () => {
  const nested = (open: string, close: string) => JSON.parse(open.repeat(50_000) + close.repeat(50_000)) as unknown;
  const deep = nested('[', ']');
  expect(unkeepable(deep)).toBeUndefined();
  expect(findRecipe(deep)).toBeUndefined();
  expect(unkeepable({ a: [{ b: 'x\ud800' }] })).toContain('nobody can write');
  expect(unkeepable({ 'a\0': 1 })).toContain('nobody can write');
  expect(unkeepable({ a: ['🍫', 'Żurek', '\u202e'] })).toBeUndefined();
});

it('a line that is too long, and more lines than a recipe has, are asked about', () => {
  const [long, short] = readRecipeText(`1${' '.repeat(1600)}x\n200 g sugar, caster`, shelf);
  expect(long).toMatchObject({ sure: false, asks: expect.stringContaining('too long'), candidates: [] });
  expect(short).toMatchObject({ amount: 200, unit: 'g' });
  const rows = readRecipeText('5 g water\n'.repeat(5_000), shelf);
  expect(rows).toHaveLength(81);
  expect(rows.at(-1)).toMatchObject({ sure: false, asks: expect.stringContaining('4920 more lines') });
});

it('numbers that no kitchen has are no amounts', () => {
  for (const text of [`${'9'.repeat(400)} g sugar`, '1e99 g', '99999999999 kg']) {
    expect(readAmount(text)?.amount ?? 0, text.slice(0, 20)).toBeLessThan(1e10);
  }
  expect(readAmount('1     1/4   cup cream')).toMatchObject({ amount: 1.25, unit: 'cup', rest: ' cream' });
});
