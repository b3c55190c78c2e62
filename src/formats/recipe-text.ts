import Fuse from 'fuse.js';
import { formIn, type MeasureUnit, weigh } from '@/core/matter/measures';
import type { Ingredient } from './ingredient';
import { LONGEST_NAME } from './ingredient';

/** One line of a recipe as read: how much of what, and which ingredient of the larder it may be. */
export interface RecipeRow {
  /** place among the lines read, from 1 */
  readonly line: number;
  readonly raw: string;
  readonly name: string;
  readonly form: string | undefined;
  /** g, once ingredient and measure are known */
  readonly grams: number | undefined;
  readonly amount: number | undefined;
  readonly unit: MeasureUnit | undefined;
  /** the likeliest first, at most five */
  readonly candidates: readonly Ingredient[];
  /** the first candidate can be taken without asking */
  readonly sure: boolean;
}

const VULGAR: Readonly<Record<string, number>> = {
  '½': 1 / 2,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
  '¼': 1 / 4,
  '¾': 3 / 4,
  '⅛': 1 / 8,
  '⅜': 3 / 8,
  '⅝': 5 / 8,
  '⅞': 7 / 8,
};

const UNITS: readonly (readonly [RegExp, MeasureUnit])[] = [
  [/^(us cups?)\b/i, 'usCup'],
  [/^(fl\.? ?oz\.?|fluid ounces?)(?=\s|$)/i, 'flOz'],
  [/^(kg|kilos?|kilograms?)\b/i, 'kg'],
  [/^(g|gr|grams?|grammes?)\b/i, 'g'],
  [/^(ml|millilit(?:er|re)s?)\b/i, 'ml'],
  [/^(l|lit(?:er|re)s?)\b/i, 'l'],
  [/^(oz\.?|ounces?)(?=\s|$)/i, 'oz'],
  [/^(lbs?\.?|pounds?)(?=\s|$)/i, 'lb'],
  [/^(cups?)\b/i, 'cup'],
  [/^(tbsp\.?|tbs\.?|tablespoons?)(?=\s|$)/i, 'tbsp'],
  [/^(tsp\.?|teaspoons?)(?=\s|$)/i, 'tsp'],
  [/^(pinch(?:es)?)\b/i, 'pinch'],
  [/^(sticks?)\b/i, 'stick'],
  [/^(leaf|leaves|sheets?)\b/i, 'leaf'],
];

/** Reads `1 1/4`, `1¼`, `1,5`, `200` at the head of a text. */
function takeAmount(text: string): { amount: number; rest: string } | undefined {
  const spelled = /^(\d+)?\s*([½⅓⅔¼¾⅛⅜⅝⅞])/.exec(text);
  if (spelled) {
    return {
      amount: Number(spelled[1] ?? 0) + (VULGAR[spelled[2] as string] ?? 0),
      rest: text.slice(spelled[0].length),
    };
  }
  const fraction = /^(?:(\d+)\s+)?(\d+)\s*\/\s*(\d+)/.exec(text);
  if (fraction) {
    return {
      amount: Number(fraction[1] ?? 0) + Number(fraction[2]) / Number(fraction[3]),
      rest: text.slice(fraction[0].length),
    };
  }
  const plain = /^\d+(?:[.,]\d+)?/.exec(text);
  return plain ? { amount: Number(plain[0].replace(',', '.')), rest: text.slice(plain[0].length) } : undefined;
}

/** Words of a name that tell ingredients apart: small words and signs are left out. */
function wordsOf(text: string): string[] {
  const plain = text
    .toLowerCase()
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .replace(/[%(),]/g, ' ');
  return plain
    .split(/[^a-z0-9.]+/)
    .filter((word) => word.length > 1 && !/^(of|the|and|or|with|good|fine|fresh)$/.test(word));
}

const isNumber = (word: string) => /^\d/.test(word);
const singular = (word: string) => word.replace(/(?<=..)s$/, '');
/** A number tells more than a word: 64 % is not 54 %. */
const weightOf = (word: string) => (isNumber(word) ? 2 : 1);

/** What a line says of an ingredient. */
interface Said {
  readonly words: readonly string[];
  /** words behind a comma: they may be part of the name, or say how it goes in */
  readonly after: readonly string[];
  readonly unit: MeasureUnit | undefined;
}

/** How well a line fits an ingredient, about 0-1: words in common, by weight, over those on either side; its own piece helps. */
function likeness({ words, after, unit }: Said, ingredient: Ingredient): number {
  const theirs = wordsOf(ingredient.name).map(singular);
  const common = words.filter((word) => theirs.includes(singular(word)));
  const sum = (list: readonly string[]) => list.reduce((total, word) => total + weightOf(word), 0);
  const asked = sum(common) / Math.max(sum(words), 1);
  const behind = after.filter((word) => theirs.includes(singular(word)));
  const piece = unit !== undefined && Object.hasOwn(ingredient.pieces, unit) ? 0.15 : 0;
  const covered = Math.min((sum(common) + sum(behind)) / Math.max(sum(theirs), 1), 1);
  return 0.7 * asked + 0.3 * covered + piece;
}

const SURE = 0.7;
const MARGIN = 0.08;
const MOST_CANDIDATES = 5;

/** The ingredients a name may mean, the likeliest first. */
function candidatesFor(
  name: string,
  said: Said,
  larder: readonly Ingredient[],
  forgiving: Fuse<Ingredient>,
): { found: Ingredient[]; sure: boolean } {
  const ranked = larder
    .map((ingredient) => ({ ingredient, score: likeness(said, ingredient) }))
    .filter(({ score }) => score > 0.25)
    .sort((a, b) => b.score - a.score);
  const [first, second] = ranked;
  const exact = larder.find((ingredient) => ingredient.name.toLowerCase() === name.trim().toLowerCase());
  if (exact) return { found: [exact], sure: true };
  const guessed = forgiving.search(name, { limit: MOST_CANDIDATES }).map(({ item }) => item);
  const found = [...new Set([...ranked.map(({ ingredient }) => ingredient), ...guessed])].slice(0, MOST_CANDIDATES);
  const sure = first !== undefined && first.score >= SURE && first.score - (second?.score ?? 0) >= MARGIN;
  return { found, sure };
}

/** Grams of a row once its ingredient is chosen; nothing where the measure says nothing of it. */
export function gramsOfRow(
  row: Pick<RecipeRow, 'amount' | 'unit' | 'form'>,
  ingredient: Ingredient,
): number | undefined {
  if (row.amount === undefined) return undefined;
  const unit = row.unit ?? Object.keys(ingredient.pieces)[0];
  const weighed = unit && weigh(ingredient, row.amount, unit, formIn(ingredient, row.form));
  return weighed ? Math.round(weighed.grams * 10) / 10 : undefined;
}

/**
 * Reads a plain-text recipe, a line an ingredient: `200 g dark couverture 64 %, chopped`, `1 1/4 cup cream`. Lines without an amount are read
 * as a name alone; what is doubtful is for the cook to say.
 *
 * @param text lines; bullets and empty lines are passed over
 * @param larder to match against
 */
export function readRecipeText(text: string, larder: readonly Ingredient[]): RecipeRow[] {
  const forgiving = new Fuse(larder, { keys: ['name'], threshold: 0.4, ignoreLocation: true });
  return text
    .split(/\r?\n/)
    .map((line) => line.trim().replace(/^[-*•–]\s*/, ''))
    .filter((line) => line !== '')
    .map((raw, i): RecipeRow => {
      const taken = takeAmount(raw);
      const afterAmount = (taken?.rest ?? raw).trim();
      const unit = taken && UNITS.find(([pattern]) => pattern.test(afterAmount));
      const rest = unit ? afterAmount.replace(unit[0], '').trim() : afterAmount;
      const [what = '', ...how] = rest.replace(/^of\s+/i, '').split(/,\s+/);
      const name = what.trim().slice(0, LONGEST_NAME);
      const form = how.join(', ').slice(0, 40) || undefined;
      const said = { words: wordsOf(name), after: wordsOf(form ?? ''), unit: unit?.[1] };
      const { found, sure } = candidatesFor(name, said, larder, forgiving);
      const row = { line: i + 1, raw, name, form, amount: taken?.amount, unit: unit?.[1], candidates: found };
      const grams = found[0] && gramsOfRow(row, found[0]);
      return { ...row, grams, sure: sure && grams !== undefined };
    });
}
