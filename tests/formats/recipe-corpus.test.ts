import { describe, expect, it } from 'vitest';
import { plainLine } from '@/formats/plain-line';
import { readRecipe } from '@/formats/recipe-text';
import { larder } from '../support/kitchen';
import { HOSTILE, ORDINARY } from './recipe-corpus';

const all = [...larder.values()];
/** Grams that go by a measure or a rounded density may be so far off, as a part. */
const NEAR = 0.07;

interface Judged {
  readonly line: string;
  readonly how: 'right' | 'asked' | 'wrong';
  readonly got: string;
}

/** What became of each line of a recipe. */
function judged(recipe: string): Judged[] {
  const lines = recipe.split('\n').map((line) => {
    const [, text = '', meant = ''] = /^(.*) \| ([^|]*)$/s.exec(line) ?? [];
    return { text, meant };
  });
  const isUs = /\b(oz|ounces?|sticks?|cups?|teaspoon)\b/.test(recipe);
  const { rows } = readRecipe(lines.map(({ text }) => text).join('\n'), all, isUs ? 'us' : 'metric');
  return lines.map(({ text, meant }): Judged => {
    const row = rows.find(({ raw }) => raw === plainLine(text) || (raw.length > 100 && text.startsWith(raw)));
    const [id, grams] = [row?.candidates[0]?.id, row?.grams];
    const got = row ? `${row.sure ? '' : 'asked: '}${id} ${grams}` : 'left out';
    // What puts nothing in may be asked about, never taken.
    if (meant === '-') return { line: text, how: row === undefined ? 'right' : row.sure ? 'wrong' : 'asked', got };
    if (row === undefined) return { line: text, how: 'wrong', got };
    if (!row.sure || grams === undefined) return { line: text, how: 'asked', got };
    const [names = '', wanted = 'NaN'] = meant.split(' ');
    const isRight = names.split('/').includes(id ?? '') && Math.abs(grams - Number(wanted)) <= NEAR * Number(wanted);
    return { line: text, how: isRight ? 'right' : 'wrong', got };
  });
}

const tally = (found: readonly Judged[], how: Judged['how']) => found.filter((each) => each.how === how).length;

describe.each([
  ['ordinary', ORDINARY, 0.6],
  ['hostile', HOSTILE, 0.25],
] as const)('forty %s recipes', (_, recipes, leastTaken) => {
  const found = recipes.flatMap(judged);

  it('are forty', () => expect(recipes).toHaveLength(40));

  it('no line is taken silently for something else', () => {
    expect(found.filter(({ how }) => how === 'wrong').map(({ line, got }) => `${line.slice(0, 70)} -> ${got}`)).toEqual(
      [],
    );
  });

  it('95 % of their lines are right or asked about, and enough of them without asking', () => {
    expect((tally(found, 'right') + tally(found, 'asked')) / found.length).toBeGreaterThanOrEqual(0.95);
    expect(tally(found, 'right') / found.length).toBeGreaterThan(leastTaken);
  });
});
