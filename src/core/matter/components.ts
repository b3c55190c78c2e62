import { recordOf } from '../keys-of';

/** Sugars, syrups' higher saccharides and polyols: what makes up a sweetener, milk's own lactose apart. */
export const SWEET_NAMES = [
  'sucrose',
  'glucose',
  'fructose',
  'maltose',
  'higher_saccharides',
  'sorbitol',
  'glycerol',
  'maltitol',
  'erythritol',
  'xylitol',
  'allulose',
  'trehalose',
  'isomaltulose',
] as const;

/**
 * What an ingredient is made of: the components every equation of the core reads.
 *
 * The names are the columns of the starting larder and of the formula file. Amounts are grams, or grams per 100 g where a
 * composition is meant. All of them are dry matter but `water`: gelatin leaves are dry, their soaking water is a line of its own.
 */
export const COMPONENT_NAMES = [
  'water',
  'cocoa_butter',
  'milk_fat',
  'lauric_fat',
  'liquid_oil',
  'hard_fat',
  'cocoa_solids',
  'milk_protein',
  'lactose',
  'milk_ash',
  'other_protein',
  ...SWEET_NAMES,
  'inulin',
  'starch',
  'fibre',
  'gelatin',
  'pectin',
  'agar',
  'gums',
  'ethanol',
  'salt',
  'lecithin',
  'acids',
  'other',
] as const;

export type ComponentName = (typeof COMPONENT_NAMES)[number];

/** Grams per 100 g of an ingredient; a component left out is 0. */
export type Composition = Partial<Record<ComponentName, number>>;

/** One number a component, in the order of {@link COMPONENT_NAMES}. */
export type ComponentVector = Float64Array;

export const COMPONENT_COUNT = COMPONENT_NAMES.length;

/** Place of each component in a {@link ComponentVector}. */
export const COMPONENT_INDEX = recordOf(COMPONENT_NAMES, (_, place) => place);

/** How far the parts of 100 g may pass 100 g before the composition is refused: printed tables round each part. */
export const COMPOSITION_ROUNDING_G = 0.5;

/** Thrown when the parts of 100 g cannot be: negative, not a number, or more than 100 g of them. */
export class CompositionError extends Error {
  override readonly name = 'CompositionError';
}

/**
 * Turns a composition in g per 100 g into a vector of g per 1 g that sums to exactly 1.
 *
 * What the parts leave unsaid up to 100 g counts as `other`, which is inert, so that the mass of a batch is always the mass
 * that was weighed. Parts that sum to 100-100.5 g (rounded tables) are scaled back to 100.
 *
 * @param composition g per 100 g, each 0-100
 * @returns g per g, in the order of {@link COMPONENT_NAMES}, sum 1
 * @throws {CompositionError} a part is negative or not finite, or the parts exceed 100.5 g
 * @example compositionVector({ water: 40, sucrose: 60 })[COMPONENT_INDEX.sucrose] // 0.6
 */
export function compositionVector(composition: Composition): ComponentVector {
  const vector = new Float64Array(COMPONENT_COUNT);
  let sum = 0;
  for (const name of COMPONENT_NAMES) {
    const part = composition[name] ?? 0;
    if (!Number.isFinite(part) || part < 0) {
      throw new CompositionError(`${name} must be a number of grams, 0 or more, in 100 g`);
    }
    vector[COMPONENT_INDEX[name]] = part;
    sum += part;
  }
  if (sum > 100 + COMPOSITION_ROUNDING_G) {
    throw new CompositionError(`the parts add up to ${Number(sum.toFixed(2))} g in 100 g`);
  }
  const whole = Math.max(sum, 100);
  vector[COMPONENT_INDEX.other] = (vector[COMPONENT_INDEX.other] ?? 0) + (whole - sum);
  for (let i = 0; i < COMPONENT_COUNT; i++) vector[i] = (vector[i] ?? 0) / whole;
  return vector;
}
