/** Nuts that are declared by name, as the parts of the allergen `nuts (…)`. */
const NUT_NAMES = ['almond', 'hazelnut', 'walnut', 'cashew', 'pecan', 'brazil nut', 'pistachio', 'macadamia'] as const;

/** Cereals with gluten that are declared by name, as the parts of `gluten (…)`. */
const CEREAL_NAMES = ['wheat', 'rye', 'barley', 'oats', 'spelt'] as const;

/**
 * The allergens that are declared: the fourteen of Regulation (EU) 1169/2011, annex II, nuts and cereals by name where the name is known.
 * A closed list: what is not in it is never silently free of anything.
 */
export const ALLERGENS = [
  'milk',
  'soya',
  'eggs',
  'peanuts',
  'nuts',
  ...NUT_NAMES.map((name) => `nuts (${name})` as const),
  'sesame',
  'gluten',
  ...CEREAL_NAMES.map((name) => `gluten (${name})` as const),
  'sulphites',
  'celery',
  'mustard',
  'lupin',
  'fish',
  'crustaceans',
  'molluscs',
] as const;

export type Allergen = (typeof ALLERGENS)[number];

const known: ReadonlySet<string> = new Set(ALLERGENS);

/** Whether a text is one of {@link ALLERGENS}, to the letter. */
export function isAllergen(text: string): text is Allergen {
  return known.has(text);
}

/** Something that was declared and is no allergen of the list: kept as it was written, until someone decides what it means. */
export type Unrecognised = `other: ${string}`;

/** One thing a pack declares. */
export type Declared = Allergen | Unrecognised;

const OTHER = 'other: ';

/** Keeps a text that is no allergen of the list. */
export function unrecognised(text: string): Unrecognised {
  return `${OTHER}${text}`;
}

/** Whether something declared is no allergen of the list. */
export function isUnrecognised(declared: string): declared is Unrecognised {
  return declared.startsWith(OTHER);
}

/** Whether something declared is an allergen of the list. */
export const isRecognised = (declared: Declared): declared is Allergen => !isUnrecognised(declared);

/** Allergens that come from animals: what holds one is not vegan. */
export const FROM_ANIMALS: ReadonlySet<Declared> = new Set<Declared>([
  'milk',
  'eggs',
  'fish',
  'crustaceans',
  'molluscs',
]);

/** Allergens in the order of the list, each once; what is not in the list last. */
export function inOrder<Each extends Declared>(declared: Iterable<Each>): Each[] {
  const place = (each: Declared) => (isRecognised(each) ? ALLERGENS.indexOf(each) : ALLERGENS.length);
  return [...new Set(declared)].sort((a, b) => place(a) - place(b) || (a < b ? -1 : 1));
}
