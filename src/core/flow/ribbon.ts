/** How a sauce falls from a spoon. */
export const RIBBONS = ['runs', 'falls', 'lies', 'mounds'] as const;
export type Ribbon = (typeof RIBBONS)[number];

/** Resistance, Pa, from which a ribbon falls, lies and mounds (J). */
const FROM_PA = { falls: 2, lies: 12, mounds: 60 } as const;

/**
 * How a sauce falls from a lifted spoon.
 *
 * @param resistancePa at the pour, Pa, 0 or more
 */
export function ribbonOf(resistancePa: number): Ribbon {
  if (resistancePa < FROM_PA.falls) return 'runs';
  if (resistancePa < FROM_PA.lies) return 'falls';
  return resistancePa < FROM_PA.mounds ? 'lies' : 'mounds';
}
