import { keysOf } from '@/core/keys-of';
import { nth } from '@/core/nth';
import { foldWords } from './fold-words';
import type { Ingredient } from './ingredient';
import { KITCHEN_WORDS } from './kitchen-words/kitchen-words';
import type { Kind } from './kitchen-words/named-words';

const byWords = KITCHEN_WORDS.flatMap(([id, words, kind]) =>
  words.map((phrase) => ({ id, kind, words: foldWords(phrase).split(' ') })),
).sort((a, b) => b.words.length - a.words.length);

/** Places among them by their first word. */
const byFirstWord = new Map<string, number[]>();
for (const [place, { words }] of byWords.entries()) {
  const first = words[0] ?? '';
  const places = byFirstWord.get(first);
  if (places) places.push(place);
  else byFirstWord.set(first, [place]);
}

/** Phrases that may stand in some words, the longest first. */
function phrasesFrom(words: readonly string[]) {
  const firsts = new Set(words.flatMap((word) => [word, word.replace(/s$/, '')]));
  const places = [...firsts].flatMap((word) => byFirstWord.get(word) ?? []);
  return [...new Set(places)].sort((a, b) => a - b).map((place) => nth(byWords, place));
}

/** Words that say how a thing is cut, kept or how good it is: they name no other thing. */
const BESIDE_THE_POINT = new Set(
  [
    'of',
    'the',
    'a',
    'and',
    'de',
    'du',
    'des',
    'di',
    'del',
    'la',
    'le',
    'fine',
    'finely',
    'good',
    'quality',
    'best',
    'fresh',
    'chopped',
    'melted',
    'softened',
    'cold',
    'warm',
    'hot',
    'sifted',
    'grated',
    'soft',
    'room',
    'temperature',
    'fat',
    'min',
    'cocoa',
    'kakao',
    'cacao',
    'solids',
    'percent',
    'prozent',
    'organic',
    'bio',
    'gehackt',
    'gehackte',
    'hache',
    'fondu',
    'picado',
    'tritato',
    'flüssig',
    'liquide',
  ].map(foldWords),
);
const SUGAR_FREE =
  /(no added sugar|sugar free|without sugar|zuckerfrei|ohne zucker|sans sucre|sin azucar|senza zucchero|sekersiz|maltitol|erythritol)/;

/** Whether an ingredient is of a kind that is chosen by its number. */
const OF_KIND: Readonly<Record<Kind, (each: Ingredient) => boolean>> = {
  dark: ({ group, components: c, cocoaPercent }) =>
    group === 'chocolate' &&
    cocoaPercent !== null &&
    (c.milk_protein ?? 0) < 1 &&
    (c.cocoa_butter ?? 0) >= 20 &&
    (c.sucrose ?? 0) > 5,
  milkChocolate: ({ group, components: c }) =>
    group === 'chocolate' && (c.milk_protein ?? 0) >= 3 && (c.cocoa_solids ?? 0) > 1 && (c.cocoa_butter ?? 0) >= 15,
  white: ({ group, components: c }) =>
    group === 'chocolate' && (c.milk_protein ?? 0) >= 3 && (c.cocoa_solids ?? 0) < 1 && (c.cocoa_butter ?? 0) >= 15,
  cream: ({ group, name, components: c }) => group === 'dairy' && /cream/i.test(name) && (c.water ?? 0) >= 45,
};

const numberOf: Readonly<Record<Kind, (each: Ingredient) => number>> = {
  dark: ({ cocoaPercent }) => cocoaPercent ?? 0,
  milkChocolate: ({ cocoaPercent }) => cocoaPercent ?? 0,
  white: ({ cocoaPercent }) => cocoaPercent ?? 0,
  cream: ({ components }) => components.milk_fat ?? 0,
};

/** What a cook plainly means. */
export interface PlainMeaning {
  /** the likeliest first */
  readonly found: readonly Ingredient[];
  /** nothing else was said that could mean another thing */
  readonly sure: boolean;
}

const kindOfKnown = new WeakMap<Ingredient, Kind | null>();

/** The kind of an ingredient, worked out once. */
function kindOf(ingredient: Ingredient): Kind | null {
  let kind = kindOfKnown.get(ingredient);
  if (kind === undefined) {
    kind = keysOf(OF_KIND).find((each) => OF_KIND[each](ingredient)) ?? null;
    kindOfKnown.set(ingredient, kind);
  }
  return kind;
}

const ofKind = (kind: Kind, larder: readonly Ingredient[]) => larder.filter((each) => kindOf(each) === kind);

/** The ingredients of a kind, nearest to a number first. */
function nearest(kind: Kind, number: number, larder: readonly Ingredient[]): Ingredient[] {
  return ofKind(kind, larder).sort(
    (a, b) => Math.abs(numberOf[kind](a) - number) - Math.abs(numberOf[kind](b) - number),
  );
}

/** Words of a name that are looked at. */
const MAX_WORDS = 16;

/**
 * What kitchen words mean in the larder: plain words the plain thing, with a number the nearest of its kind (“55” is the couverture nearest to 55 %
 * cocoa). Chocolate without added sugar is meant only when it is asked for.
 *
 * @param text a name, without its amount
 */
export function plainMeaning(text: string, larder: readonly Ingredient[]): PlainMeaning {
  const folded = foldWords(text);
  const said = folded.split(' ', MAX_WORDS).filter(Boolean);
  const numbers = said.filter((word) => /^\d+$/.test(word)).map(Number);
  const words = said.filter((word) => !/^\d+$/.test(word));
  const [number] = numbers;
  if (words.every((word) => BESIDE_THE_POINT.has(word)) && number !== undefined && number >= 25 && number <= 100) {
    const found = [...nearest('dark', number, larder), ...nearest('milkChocolate', number, larder)].sort(
      (a, b) => Math.abs((a.cocoaPercent ?? 0) - number) - Math.abs((b.cocoaPercent ?? 0) - number),
    );
    return { found: found.slice(0, 5), sure: found.length > 0 };
  }
  const isThere = (phrase: readonly string[]) =>
    words.some((_, i) => phrase.every((word, k) => words[i + k] === word || words[i + k] === `${word}s`));
  const isSugarFree = SUGAR_FREE.test(folded);
  const hits = phrasesFrom(words).filter(
    ({ words: phrase, id }) => isThere(phrase) && (isSugarFree || !/maltitol-55|erythritol-60/.test(id)),
  );
  const [best] = hits;
  if (!best) return { found: [], sure: false };
  const covered = new Set(best.words);
  const left = words.filter(
    (word) => !covered.has(word) && !covered.has(word.replace(/s$/, '')) && !BESIDE_THE_POINT.has(word),
  );
  const byNumber = best.kind && number !== undefined ? nearest(best.kind, number, larder) : [];
  const plain = larder.find(({ id }) => id === best.id);
  const kin = best.kind ? ofKind(best.kind, larder) : [];
  const found = [...new Set([...byNumber.slice(0, 3), ...(plain ? [plain] : []), ...kin])].slice(0, 5);
  // a number means nothing to a thing that is not chosen by it, unless its own name says it
  const isNumberMeant = best.kind !== undefined || numbers.every((each) => plain?.name.includes(String(each)));
  return { found, sure: left.length === 0 && found.length > 0 && isNumberMeant };
}
