import Fuse from 'fuse.js';
import {
  type CupSystem,
  formIn,
  gramsOfOne,
  gramsPerMl,
  isVolume,
  isWeight,
  type MeasureUnit,
} from '@/core/matter/measures';
import { nth } from '@/core/nth';
import { type AmountReading, MAX_LENGTH, type ReadAmount, readAmount } from './amount';
import { foldWords } from './fold-words';
import type { Ingredient } from './ingredient';
import { LONGEST_NAME } from './ingredient';
import { plainMeaning } from './ingredient-words';
import { plainLines } from './plain-line';
import { type RecipeLines, sortRecipe } from './recipe-lines';
import { spokenAmount } from './spoken-amount';

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
  /** mL of one of the unit, where the line itself says so */
  readonly millilitres: number | undefined;
  /** what the cook is asked about the amount; never read as its bare number without that */
  readonly asks: string | undefined;
  /** other ways to understand the amount */
  readonly others: readonly AmountReading[];
  /** the likeliest first, at most five */
  readonly candidates: readonly Ingredient[];
  /** the first candidate can be taken without asking */
  readonly sure: boolean;
}

/** Words of a name that tell ingredients apart: small words and signs are left out. */
const wordsOf = (text: string): string[] =>
  foldWords(text)
    .split(' ')
    .filter((word) => (word.length > 1 || isNumber(word)) && !/^(of|the|and|or|with|good|fine|fresh)$/.test(word))
    .slice(0, MAX_WORDS);

/** Words of a name that are looked at. */
const MAX_WORDS = 16;

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

const nameWordsOf = new WeakMap<Ingredient, readonly string[]>();

/** Words of an ingredient's name, worked out once. */
function nameWords(ingredient: Ingredient): readonly string[] {
  const known = nameWordsOf.get(ingredient);
  if (known) return known;
  const words = wordsOf(ingredient.name).map(singular);
  nameWordsOf.set(ingredient, words);
  return words;
}

/** How well a line fits an ingredient, about 0-1: words in common, by weight, over those on either side; its own piece helps. */
function likeness({ words, after, unit }: Said, ingredient: Ingredient): number {
  const theirs = nameWords(ingredient);
  const common = words.filter((word) => theirs.includes(singular(word)));
  const sum = (list: readonly string[]) => list.reduce((total, word) => total + weightOf(word), 0);
  const asked = sum(common) / Math.max(sum(words), 1);
  const behind = after.filter((word) => theirs.includes(singular(word)));
  const piece = unit !== undefined && Object.hasOwn(ingredient.pieces, unit) ? 0.15 : 0;
  const covered = Math.min((sum(common) + sum(behind)) / Math.max(sum(theirs), 1), 1);
  return 0.7 * asked + 0.3 * covered + piece;
}

/** Part of an ingredient's own words that a line must have to mean it: `flour` is no hazelnut flour. */
const LEAST_NAMED = 0.6;
/** Words of which a line says one and an ingredient is the other. */
const OPPOSITES = [
  ['light', 'dark'],
  ['salted', 'unsalted'],
  ['white', 'dark'],
  ['milk', 'dark'],
] as const;

/** Whether a line says one thing and an ingredient is its opposite: light muscovado is not the dark one. */
function isOpposite({ words, after }: Said, ingredient: Ingredient): boolean {
  const said = [...words, ...after].map(singular);
  const theirs = nameWords(ingredient);
  const only = (list: readonly string[], one: string, other: string) => list.includes(one) && !list.includes(other);
  return OPPOSITES.some(
    ([a, b]) => (only(said, a, b) && only(theirs, b, a)) || (only(said, b, a) && only(theirs, a, b)),
  );
}

/** Whether a line names an ingredient, and not just its kind. */
function isNamed({ words, after }: Said, ingredient: Ingredient): boolean {
  const said = [...words, ...after].map(singular);
  const theirs = nameWords(ingredient).filter((word) => !isNumber(word));
  return theirs.filter((word) => said.includes(word)).length >= LEAST_NAMED * theirs.length;
}

const SURE = 0.7;
const MARGIN = 0.08;
const MOST_CANDIDATES = 5;
/** Letters of a name that a forgiving search looks at: in a longer one nothing is just spelled otherwise. */
const MAX_GUESSED = 16;

/**
 * The ingredients a name may mean, the likeliest first.
 *
 * @param whole the name with what stands behind its comma, which a name of the larder may have too
 */
function candidatesFor(
  whole: string,
  name: string,
  said: Said,
  larder: readonly Ingredient[],
  forgiving: (name: string) => readonly Ingredient[],
): { found: Ingredient[]; sure: boolean } {
  const ranked = larder
    .map((ingredient) => ({ ingredient, score: likeness(said, ingredient) }))
    .filter(({ score }) => score > 0.25)
    .sort((a, b) => b.score - a.score);
  const [first, second] = ranked;
  const asWritten = [whole, name].map((each) => each.trim().toLowerCase());
  const exact = larder.find((ingredient) => asWritten.includes(ingredient.name.toLowerCase()));
  if (exact) return { found: [exact], sure: true };
  const plain = plainMeaning(name, larder);
  const likely = ranked.map(({ ingredient }) => ingredient);
  const found = [
    ...new Set([...(plain.sure ? plain.found : []), ...likely.slice(0, 3), ...plain.found, ...likely]),
  ].slice(0, MOST_CANDIDATES);
  if (found.length === 0) return { found: [...forgiving(name)], sure: false };
  if (plain.sure) return { found, sure: !found[0] || !isOpposite(said, found[0]) };
  const sure =
    first !== undefined &&
    first.score >= SURE &&
    first.score - (second?.score ?? 0) >= MARGIN &&
    isNamed(said, first.ingredient) &&
    !isOpposite(said, first.ingredient);
  return { found, sure };
}

/** As much of a row as its weight follows from. */
type Measured = Pick<RecipeRow, 'amount' | 'unit' | 'form' | 'millilitres' | 'raw'>;

/** The piece of an ingredient that a line counts: “2 eggs”, “7 leaves of gelatin”. */
function pieceIn(raw: string, { pieces }: Ingredient): string | undefined {
  const words = new Set(foldWords(raw).split(' '));
  return Object.keys(pieces).find(
    (piece) => words.has(piece) || words.has(`${piece}s`) || (piece === 'leaf' && words.has('leaves')),
  );
}

/**
 * Grams of a row once its ingredient is chosen; nothing where the measure says nothing of it, or no measure is said: a bare number is asked.
 *
 * @param cups the cups and spoons of the kitchen; a size written in the line goes before them
 */
export function gramsOfRow(row: Measured, ingredient: Ingredient, cups: CupSystem = 'metric'): number | undefined {
  const { amount, millilitres } = row;
  const unit = row.unit ?? pieceIn(row.raw, ingredient);
  if (amount === undefined || unit === undefined) return undefined;
  const form = formIn(ingredient, row.form);
  const perMl = gramsPerMl(ingredient, form);
  const one =
    millilitres !== undefined && isVolume(unit) && perMl !== undefined
      ? millilitres * perMl
      : gramsOfOne(ingredient, unit, form, cups);
  return one === undefined ? undefined : Math.round(amount * one * 10) / 10;
}

/** Whether a unit is understood of anything: a weight, a volume, or a piece some ingredient has. */
const isUnderstood = (unit: MeasureUnit | undefined, ingredient: Ingredient | undefined) =>
  unit !== undefined &&
  (isWeight(unit) || isVolume(unit) || (ingredient !== undefined && Object.hasOwn(ingredient.pieces, unit)));

/** What is asked about the amount of a line, if anything. */
function askedOf(
  row: Measured & { readonly asks: string | undefined },
  first: Ingredient | undefined,
): string | undefined {
  if (row.asks) return row.asks;
  if (/\bkosher\b/i.test(row.raw) && row.unit !== undefined && isVolume(row.unit)) return KOSHER;
  if (row.amount === undefined) return 'How much of it?';
  if (row.unit === undefined && !(first && pieceIn(row.raw, first))) return `${row.amount} of what?`;
  if (row.unit !== undefined && first && !isUnderstood(row.unit, first)) return `How much is one ${row.unit}?`;
  return undefined;
}

/** By the spoon a light, flaky kosher salt weighs little more than half of a dense one. */
const KOSHER = 'Kosher salts differ. A teaspoon is 2.8 g if light, 5 g if dense. Which is it?';

/** `100 g + 20 g sugar`: amounts of one unit, added up. What is added in another unit is asked. */
function readSum(text: string): ReadAmount | undefined {
  const plus = text.indexOf('+');
  const first = plus > 0 ? readAmount(text.slice(0, plus), 'either') : undefined;
  const more = first?.rest.trim() === '' ? readSum(text.slice(plus + 1).trim()) : undefined;
  if (!first || !more) return readAmount(text, 'either');
  if (more.unit !== first.unit) return { ...more, asks: 'Two amounts stand here. How much is it in all?' };
  return { ...more, amount: first.amount + more.amount };
}

/** Lines a recipe has at most. */
const MAX_LINES = 80;
/** Names nothing is known of that are looked for as if spelled otherwise: a text with more of them is no recipe. */
const MAX_FORGIVEN = 8;

/** Ingredients whose names are spelled nearly so; made when it is first needed. */
function forgivingSearch(larder: readonly Ingredient[]): (name: string) => readonly Ingredient[] {
  let search: Fuse<Ingredient> | undefined;
  let left = MAX_FORGIVEN;
  return (name) => {
    if (left <= 0 || !/\p{L}{2}/u.test(name)) return [];
    left -= 1;
    search ??= new Fuse(larder, { keys: ['name'], threshold: 0.4, ignoreLocation: true });
    return search.search(name.slice(0, MAX_GUESSED), { limit: MOST_CANDIDATES }).map(({ item }) => item);
  };
}

const TOO_LONG = 'This line is too long to be read. What goes in?';
const tooMany = (lines: number) => `${lines} more lines are not read. Paste the list of ingredients alone.`;

/** A line that is not read: the cook is asked. */
const asked = (line: number, raw: string, asks: string): RecipeRow => ({
  ...{ line, raw: raw.slice(0, MAX_LENGTH), name: raw.slice(0, LONGEST_NAME), asks },
  ...{ form: undefined, grams: undefined, amount: undefined, unit: undefined, millilitres: undefined },
  ...{ others: [], candidates: [], sure: false },
});

/**
 * Reads a plain-text recipe, a line an ingredient: `200 g dark couverture 64 %, chopped`, `1 1/4 cup cream`, `2 EL Zucker`. Lines without an amount are
 * read as a name alone; what is doubtful is for the cook to say.
 *
 * @param text lines; bullets and empty lines are passed over
 * @param larder to match against
 * @param cups the cups and spoons of the kitchen
 */
export function readRecipeText(text: string, larder: readonly Ingredient[], cups: CupSystem = 'metric'): RecipeRow[] {
  const forgiving = forgivingSearch(larder);
  const lines = plainLines(text);
  const rows = lines.slice(0, MAX_LINES).map((raw, i): RecipeRow => {
    if (raw.length > MAX_LENGTH) return asked(i + 1, raw, TOO_LONG);
    const read = readSum(spokenAmount(raw));
    const [what = '', ...how] = (read?.rest ?? spokenAmount(raw))
      .trim()
      .replace(/^(?:of|de|du|di|d['’]|von)\s+/i, '')
      .split(/,\s+/);
    const name = what.trim().slice(0, LONGEST_NAME);
    const form = how.join(', ').slice(0, 40) || undefined;
    const { amount, unit, millilitres, others = [] } = read ?? {};
    const said = { words: wordsOf(name), after: wordsOf(form ?? ''), unit };
    const { found, sure } = candidatesFor([name, ...how].join(', '), name, said, larder, forgiving);
    const row = { line: i + 1, raw, name, form, amount, unit, millilitres, others, candidates: found };
    const asks = askedOf({ ...row, asks: read?.asks }, found[0]);
    const grams = found[0] && gramsOfRow(row, found[0], cups);
    return { ...row, asks, grams, sure: sure && grams !== undefined && asks === undefined };
  });
  const rest = lines.length - MAX_LINES;
  return rest > 0 ? [...rows, asked(MAX_LINES + 1, nth(lines, MAX_LINES), tooMany(rest))] : rows;
}

/** A recipe's text as read: its title and steps, and its ingredients line by line. */
export interface ReadRecipe extends Pick<RecipeLines, 'title' | 'steps'> {
  readonly rows: readonly RecipeRow[];
}

/** Reads a whole recipe: title, headings and steps are told from its ingredients, which are read as by {@link readRecipeText}. */
export function readRecipe(text: string, larder: readonly Ingredient[], cups: CupSystem = 'metric'): ReadRecipe {
  const { title, ingredients, steps } = sortRecipe(text);
  return { title, steps, rows: readRecipeText(ingredients.join('\n'), larder, cups) };
}
