import { CHOCOLATE_WORDS } from './chocolate';
import { DAIRY_WORDS } from './dairy';
import { FAT_AND_SUGAR_WORDS } from './fats-and-sugars';
import { HELPER_WORDS } from './helpers';
import type { NamedWords } from './named-words';

/**
 * Kitchen words for the starting larder: English (US and UK), German, French, Spanish, Italian, Turkish, Hindi. A plain word means the plain thing.
 * Longer phrases go before the words in them.
 */
export const KITCHEN_WORDS: readonly NamedWords[] = [
  ...CHOCOLATE_WORDS,
  ...DAIRY_WORDS,
  ...FAT_AND_SUGAR_WORDS,
  ...HELPER_WORDS,
];
