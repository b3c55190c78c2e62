import type { Mixture } from '../matter/mixture';

/** What kind of pan it is: the same sign has another cause, and another fix, in each. */
export const PAN_KINDS = ['plain', 'ganache', 'waterSauce', 'whipped', 'gelatinGlaze'] as const;
export type PanKind = (typeof PAN_KINDS)[number];

/** Shares of the pan from which it is of a kind (J). */
const PLAIN_WATER = 0.06;
const GEL = 0.003;
const DAIRY_PROTEIN = 0.004;

/**
 * The kind of a pan, by what is in it.
 *
 * @param mixture what is in it, mass above 0
 * @param isWhipped whether it is to be whipped, or has been
 * @returns `plain` is chocolate with hardly any water; `ganache` is chocolate or cocoa with dairy
 */
export function panKindOf({ massG, waterG, gelatinG, proteinG, milkFatG }: Mixture, isWhipped: boolean): PanKind {
  if (waterG < PLAIN_WATER * massG) return 'plain';
  if (isWhipped) return 'whipped';
  if (gelatinG > GEL * massG) return 'gelatinGlaze';
  return proteinG < DAIRY_PROTEIN * massG && milkFatG < DAIRY_PROTEIN * massG ? 'waterSauce' : 'ganache';
}
