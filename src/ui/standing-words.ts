import type { Standing } from '@/core/balance/standing';
import { percent } from './format';

/** How a formula stands to its gates. */
export const STANDING_WORDS: Readonly<Record<Standing, string>> = {
  lands: 'lands',
  justLands: 'borderline',
  misses: 'misses',
};

/** Beside the word, for the eye: never colour alone. */
export const STANDING_MARKS: Readonly<Record<Standing, string>> = { lands: '✓', justLands: '≈', misses: '✕' };

/** `lands, 72 % likely`. */
export function likelyWords(standing: Standing, chance: number): string {
  return `${STANDING_WORDS[standing]}, ${percent(chance)} likely`;
}
