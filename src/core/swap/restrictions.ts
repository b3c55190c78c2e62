import type { Allergen } from '../matter/allergens';
import type { Composition } from '../matter/components';
import { type Contents, contentsOf, type Declaration } from '../matter/contents';

/** As much of an ingredient as a restriction needs. */
export type Restrictable = Declaration;

/** What a pan can be asked to do without. */
export const RESTRICTIONS = ['dairy', 'alcohol', 'addedSugar', 'nuts', 'soya', 'gelatin', 'animal'] as const;

export type Restriction = (typeof RESTRICTIONS)[number];

/** How an ingredient stands to a restriction: free of it, against it, or nobody can say. */
export type Standing = 'free' | 'unknown' | 'against';

/** Sugars in 100 g from which an ingredient counts as sugared (J): below it they come with cocoa, cream or fruit. */
const SUGARED_G = 5;

const ofSugars = ({ sucrose = 0, glucose = 0, fructose = 0, maltose = 0 }: Composition) =>
  sucrose + glucose + fructose + maltose;

/** By what is in 100 g, which is always known. */
const byComposition =
  (isAgainst: (composition: Composition) => boolean) =>
  ({ components }: Restrictable): Standing =>
    isAgainst(components) ? 'against' : 'free';

/** By allergens, declared or proven; traces on the pack and things nobody has said leave it unknown. */
const byAllergens =
  (isMeant: (allergen: Allergen) => boolean) =>
  (_: Restrictable, { contains, mayContain, isDeclared }: Contents): Standing => {
    if (contains.some(isMeant)) return 'against';
    return mayContain.some(isMeant) || !isDeclared ? 'unknown' : 'free';
  };

const VEGAN_STANDING = { yes: 'free', no: 'against', unknown: 'unknown' } as const;

const STANDING: Record<Restriction, (ingredient: Restrictable, contents: Contents) => Standing> = {
  dairy: byAllergens((name) => name === 'milk'),
  alcohol: byComposition(({ ethanol = 0 }) => ethanol > 0),
  addedSugar: byComposition((composition) => ofSugars(composition) > SUGARED_G),
  nuts: byAllergens((name) => name.startsWith('nuts') || name === 'peanuts'),
  soya: byAllergens((name) => name === 'soya'),
  gelatin: byComposition(({ gelatin = 0 }) => gelatin > 0),
  animal: (_, { vegan }) => VEGAN_STANDING[vegan],
};

/**
 * How an ingredient stands to a restriction, by composition and by what its pack declares. An allergen nobody recognised may be anything:
 * it leaves every restriction unknown until someone decides what it is.
 */
export function standingTo(restriction: Restriction, ingredient: Restrictable): Standing {
  const contents = contentsOf(ingredient);
  const standing = STANDING[restriction](ingredient, contents);
  return standing === 'free' && contents.unrecognised.length > 0 ? 'unknown' : standing;
}

/** Whether an ingredient is known to be free of what a restriction does without: what is unknown is not. */
export function isFreeOf(restriction: Restriction, ingredient: Restrictable): boolean {
  return standingTo(restriction, ingredient) === 'free';
}
