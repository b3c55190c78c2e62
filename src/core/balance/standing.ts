/** How a formula stands to its gates, in one of three words. */
export type Standing = 'lands' | 'justLands' | 'misses';

/** Chance from which a landing is called one: more often than not (J). */
export const LANDS_FROM = 0.5;

/**
 * The word for a formula's standing.
 *
 * @param lands every gate passes as predicted
 * @param chance that every gate lands when nothing is known for certain, 0-1
 * @example standingOf(true, 0.4) // 'justLands'
 */
export function standingOf(lands: boolean, chance: number): Standing {
  if (!lands) return 'misses';
  return chance >= LANDS_FROM ? 'lands' : 'justLands';
}
