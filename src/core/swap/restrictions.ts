import type { Composition } from '../matter/components';

/** As much of an ingredient as a restriction needs. */
export interface Restrictable {
  readonly components: Composition;
  readonly allergens: readonly string[];
  readonly vegan: boolean;
}

/** What a pan can be asked to do without. */
export const RESTRICTIONS = ['dairy', 'alcohol', 'addedSugar', 'nuts', 'soya', 'gelatin', 'animal'] as const;

export type Restriction = (typeof RESTRICTIONS)[number];

/** Sugars in 100 g from which an ingredient counts as sugared (J): below it they come with cocoa, cream or fruit. */
const SUGARED_G = 5;

const ofSugars = ({ sucrose = 0, glucose = 0, fructose = 0, maltose = 0 }: Composition) =>
  sucrose + glucose + fructose + maltose;

const BREAKS: Record<Restriction, (ingredient: Restrictable) => boolean> = {
  dairy: ({ allergens }) => allergens.includes('milk'),
  alcohol: ({ components }) => (components.ethanol ?? 0) > 0,
  addedSugar: ({ components }) => ofSugars(components) > SUGARED_G,
  nuts: ({ allergens }) => allergens.some((name) => name.startsWith('nuts') || name === 'peanuts'),
  soya: ({ allergens }) => allergens.includes('soya'),
  gelatin: ({ components }) => (components.gelatin ?? 0) > 0,
  animal: ({ vegan }) => !vegan,
};

/** Whether an ingredient breaks a restriction. By composition and declared allergens; traces are for the pack's label to tell. */
export function breaks(restriction: Restriction, ingredient: Restrictable): boolean {
  return BREAKS[restriction](ingredient);
}
