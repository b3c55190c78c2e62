import { keysOf } from '@/core/keys-of';
import {
  type Allergen,
  type Declared,
  inOrder,
  isAllergen,
  isUnrecognised,
  unrecognised,
} from '@/core/matter/allergens';
import { FILLER_WORDS, JOINING_WORDS, NONE_WORDS, TRACE_WORDS } from './allergen-phrases';
import { ALLERGEN_SYNONYMS } from './allergen-synonyms';
import { foldWords } from './fold-words';

/** Allergens as they were recognised in a text. */
export interface Recognised {
  readonly contains: readonly Declared[];
  readonly mayContain: readonly Declared[];
}

const bySynonym: ReadonlyMap<string, Allergen> = new Map(
  keysOf(ALLERGEN_SYNONYMS).flatMap((allergen) =>
    ALLERGEN_SYNONYMS[allergen].map((word) => [foldWords(word), allergen] as const),
  ),
);
const none: ReadonlySet<string> = new Set(NONE_WORDS.map(foldWords));
/** The longest first, so that none hides inside another. */
const traces = TRACE_WORDS.map(foldWords).sort((a, b) => b.length - a.length);

/** Phrases that are read of one text: no pack declares more. */
const MAX_PHRASES = 100;

/** Letters with which somebody says that there is none, blanks and signs around it among them. */
const LONGEST_NONE = 100;

/** Whether a text says that there is nothing to declare. */
export function saysNone(text: string): boolean {
  if (text.length > LONGEST_NONE) return false;
  return none.has(foldWords(text)) || /^\s*[-–—]\s*$/.test(text);
}

const isFiller = (word: string) => FILLER_WORDS.has(word);

/** The allergen of some words: as they stand, without fillers at their head, without any. */
function allergenOf(words: readonly string[]): Allergen | undefined {
  const head = words.findIndex((word) => !isFiller(word));
  const tries = [words, words.slice(Math.max(head, 0)), words.filter((word) => !isFiller(word))];
  for (const each of tries) {
    const found = bySynonym.get(each.join(' '));
    if (found) return found;
  }
  return undefined;
}

/** The allergens of a folded phrase, or nothing when a word of it is not understood. */
function lookUp(phrase: string): Allergen[] | undefined {
  const words = phrase.split(' ');
  const whole = allergenOf(words);
  if (whole) return [whole];
  const parts: string[][] = [[]];
  for (const word of words) {
    if (JOINING_WORDS.has(word)) parts.push([]);
    else parts.at(-1)?.push(word);
  }
  if (parts.length < 2) return undefined;
  const found = parts.flatMap((words) => allergenOf(words) ?? []);
  return found.length < parts.length ? undefined : found;
}

/** Takes words of traces off a folded phrase; nothing where there are none. */
function withoutTraces(phrase: string): string | undefined {
  const bare = traces.reduce((left, words) => left.replace(` ${words} `, ' '), ` ${phrase} `).trim();
  return bare === phrase ? undefined : bare;
}

/** One phrase: what it declares, and whether as a trace. */
function recogniseOne(phrase: string): { readonly declared: readonly Declared[]; readonly isTrace: boolean } {
  if (isAllergen(phrase) || isUnrecognised(phrase)) return { declared: [phrase], isTrace: false };
  const folded = foldWords(phrase);
  const bare = withoutTraces(folded);
  const found = lookUp(bare ?? folded);
  return { declared: found ?? [unrecognised(phrase.slice(0, 60))], isTrace: bare !== undefined };
}

/**
 * Reads what somebody wrote as allergens, in whatever common kitchen language: phrases parted by commas, semicolons, slashes or line breaks. What is
 * not recognised is kept as it stands; “milk-free” is no allergen, and nobody guesses what it means.
 *
 * @param texts as typed, imported or stored; what this function gave before comes back unchanged
 * @example recogniseAllergens(['Milch, soy']) // { contains: ['milk', 'soya'], mayContain: [] }
 */
export function recogniseAllergens(texts: readonly string[]): Recognised {
  const contains: Declared[] = [];
  const mayContain: Declared[] = [];
  for (const text of texts) {
    const parts = isUnrecognised(text) ? [text] : text.split(/[,;/\n•·|&+]/);
    // Of more, what is behind is one phrase that is not understood: nothing of it is lost.
    const phrases =
      parts.length > MAX_PHRASES ? [...parts.slice(0, MAX_PHRASES), parts.slice(MAX_PHRASES).join(' ')] : parts;
    let isTrace = false;
    for (const phrase of phrases.map((each) => each.trim())) {
      if (phrase === '' || saysNone(phrase)) continue;
      const read = recogniseOne(phrase);
      // “May contain nuts, milk”: what follows in the same text is meant too.
      isTrace ||= read.isTrace;
      (isTrace ? mayContain : contains).push(...read.declared);
    }
  }
  return { contains: inOrder(contains), mayContain: inOrder(mayContain) };
}
