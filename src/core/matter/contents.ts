import {
  type Allergen,
  type Declared,
  FROM_ANIMALS,
  inOrder,
  isRecognised,
  isUnrecognised,
  type Unrecognised,
} from './allergens';
import type { Composition } from './components';

/** What is known of an ingredient beside its grams: its composition and what its pack declares. */
export interface Declaration {
  readonly components: Composition;
  /** what it contains; an empty list says that somebody looked and found none, nothing at all that nobody has said */
  readonly allergens?: readonly Declared[] | null | undefined;
  /** what the pack says it may contain */
  readonly mayContain?: readonly Declared[] | null | undefined;
  /** nothing when nobody has said */
  readonly vegan?: boolean | undefined;
}

/** What an ingredient holds, as far as that is known. */
export interface Contents {
  /** declared, or proven by the composition */
  readonly contains: readonly Allergen[];
  readonly mayContain: readonly Allergen[];
  /** declared, but no allergen of the list: it may be anything until someone decides */
  readonly unrecognised: readonly Unrecognised[];
  /** somebody has said what it contains */
  readonly isDeclared: boolean;
  readonly vegan: 'yes' | 'no' | 'unknown';
}

const has = (composition: Composition, ...names: (keyof Composition)[]) =>
  names.some((name) => (composition[name] ?? 0) > 0);

/** Allergens a composition proves whatever the pack says: milk's fat, protein, sugar and minerals come from milk alone. */
function proven(composition: Composition): readonly Allergen[] {
  return has(composition, 'milk_fat', 'milk_protein', 'lactose', 'milk_ash') ? ['milk'] : [];
}

/** Whether one allergen is the other, or the group it belongs to is meant: `nuts` and `nuts (almond)` are the same to who cannot eat them. */
const isSameOrGroup = (a: Allergen, b: Allergen) => a === b || a.startsWith(`${b} (`) || b.startsWith(`${a} (`);

/** Whether an ingredient is known to be free of an allergen, traces included: what nobody has said is not. */
export function isFreeOfAllergen(
  allergen: Allergen,
  { contains, mayContain, unrecognised, isDeclared }: Contents,
): boolean {
  return (
    isDeclared &&
    unrecognised.length === 0 &&
    ![...contains, ...mayContain].some((each) => isSameOrGroup(each, allergen))
  );
}

/**
 * What an ingredient holds: what is declared, and what its composition proves. What nobody has said is unknown, never absent.
 *
 * @example contentsOf({ components: { milk_fat: 35 } }).contains // ['milk'], nothing else being known
 */
export function contentsOf({ components, allergens, mayContain, vegan }: Declaration): Contents {
  const declared = [...(allergens ?? []), ...proven(components)];
  const traces = mayContain ?? [];
  const contains = inOrder(declared.filter(isRecognised));
  const fromAnimals = has(components, 'gelatin') || contains.some((each) => FROM_ANIMALS.has(each));
  const unrecognised = inOrder([...declared, ...traces].filter(isUnrecognised));
  const mayBeAnything = allergens === null || allergens === undefined || unrecognised.length > 0;
  return {
    contains,
    mayContain: inOrder(traces.filter(isRecognised)).filter((each) => !contains.includes(each)),
    unrecognised,
    isDeclared: allergens !== null && allergens !== undefined,
    vegan: fromAnimals || vegan === false ? 'no' : vegan === true && !mayBeAnything ? 'yes' : 'unknown',
  };
}
