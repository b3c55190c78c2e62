import { type Allergen, isRecognised } from '@/core/matter/allergens';
import { ALLERGEN_SYNONYMS } from '@/formats/allergen-synonyms';
import { foldWords } from '@/formats/fold-words';
import type { KnownItem } from '../known-item';

/** A piece of text, emphasised or not. */
export interface Run {
  readonly text: string;
  readonly isBold: boolean;
}

const plain = (text: string): Run => ({ text, isBold: false });
const bold = (text: string): Run => ({ text, isBold: true });

/** The word of an allergen as it is read in a list: `nuts (hazelnut)` is hazelnut. */
const wordOf = (allergen: string) => /\((.+)\)$/.exec(allergen)?.[1] ?? allergen;

/** What an ingredient's name and pack text are read for: its allergens, by all words that mean them. */
function wordsFor(allergens: readonly Allergen[]): ReadonlySet<string> {
  return new Set(
    allergens.flatMap((allergen) => {
      const known = ALLERGEN_SYNONYMS[allergen];
      return [wordOf(allergen), ...known].map(foldWords);
    }),
  );
}

/** Whether a word of a text means one of the allergens, in the singular or plural. */
function isMeant(word: string, meant: ReadonlySet<string>): boolean {
  const folded = foldWords(word);
  if (folded === '') return false;
  return meant.has(folded) || (folded.endsWith('s') && meant.has(folded.slice(0, -1))) || meant.has(`${folded}s`);
}

/** Things that are called like an allergen and are none of it: `cocoa butter` holds no milk. */
const OTHER_THINGS =
  /((?:cocoa|shea|nut|peanut|almond|cashew|apple) butter|(?:coconut|oat|rice|soya?|almond|cashew) (?:milk|cream|drink)|cream of tartar)/iu;

/** A text with the words that mean an allergen emphasised. */
function emphasised(text: string, meant: ReadonlySet<string>): Run[] {
  return text.split(OTHER_THINGS).flatMap((part, i) => {
    const words = part.split(/(\p{L}+)/u).filter((piece) => piece !== '');
    // In a thing of another kind only its first word can be meant: soya in soya milk.
    return words.map((piece, place) =>
      isMeant(piece, meant) && (i % 2 === 0 || place === 0) ? bold(piece) : plain(piece),
    );
  });
}

/** A name as a list has it: without kinds after a comma, and without the strength that tells packs apart (per cent, dextrose equivalents). */
const listedName = (name: string) =>
  name
    .replace(/,.*$/, '')
    .replace(/\s*\(?\d+(?:[.,]\d+)?(?:\s*[-–]\s*\d+)?\s*%.*$/, '')
    .replace(/\s+DE\s?\d+.*$/, '')
    .toLowerCase();

/**
 * How an ingredient is listed: its name with the allergens in it emphasised, those it does not name in brackets; then in brackets what it is itself made
 * of.
 */
export function allergenRuns({ name, madeOf, allergens }: Pick<KnownItem, 'name' | 'madeOf' | 'allergens'>): {
  readonly name: readonly Run[];
  readonly madeOf: readonly Run[];
} {
  const declared = (allergens ?? []).filter(isRecognised);
  const meant = wordsFor(declared);
  const inside = madeOf === '' ? [] : emphasised(madeOf, meant);
  const own = emphasised(listedName(name), meant);
  const said = [...own, ...inside].filter(({ isBold }) => isBold).map(({ text }) => text);
  const left = declared.filter((each) => !said.some((word) => isMeant(word, wordsFor([each]))));
  const named = left.flatMap((each, i) => [...(i > 0 ? [plain(', ')] : []), bold(wordOf(each))]);
  return {
    name: [...own, ...(named.length > 0 ? [plain(' ('), ...named, plain(')')] : [])],
    madeOf: inside.length > 0 ? [plain(' ['), ...inside, plain(']')] : [],
  };
}

/** Words that name no ingredient, and those that say that something is not in it. */
const NOT_INGREDIENTS = new Set(['dark', 'white', 'hot', 'cold', 'warm', 'sauce', 'whole', 'fresh', 'fine', 'mirror']);
const LEAST_LETTERS = 3;
const WITHOUT = /\b(?:no|without)\b[\s-]+(?:added[\s-]+)?\p{L}+|\p{L}+-free\b/giu;

/** Words of a name that may name an ingredient, in the singular. */
const namingWords = (text: string) =>
  (text.replace(WITHOUT, ' ').match(/\p{L}+/gu) ?? [])
    .map((word) => foldWords(word).replace(/s$/, ''))
    .filter((word) => word.length >= LEAST_LETTERS && !NOT_INGREDIENTS.has(word));

/** Whether a product's name speaks of an ingredient, so that its share is to be told. */
export function asksForPercent(productName: string, { name }: Pick<KnownItem, 'name'>): boolean {
  const asked = new Set(namingWords(productName));
  return namingWords(listedName(name)).some((word) => asked.has(word));
}
