import { recordOf } from '../keys-of';
import { addTimes, noComponents, partOf } from './component-vector';
import { COMPONENT_INDEX, COMPONENT_NAMES, type ComponentName, type ComponentVector } from './components';

/** One ingredient in the pan: what 1 g of it is made of, and how many grams of it. */
export interface MixingLine {
  /** g per g, sum 1 */
  readonly perGram: ComponentVector;
  /** g, 0 or more */
  readonly grams: number;
  /** pH, where it is known */
  readonly ph?: number | undefined;
}

/**
 * Mass balance: the components of a batch are the sums of its lines' components.
 *
 * @param lines any number of lines
 * @param into where to write the sums (reused by callers that mix many times); a new vector when left out
 * @returns grams of each component in the batch; their sum is the sum of the lines' grams
 * @example mix([{ perGram: compositionVector({ water: 100 }), grams: 50 }])[0] // 50
 */
export function mix(lines: readonly MixingLine[], into: ComponentVector = noComponents()): ComponentVector {
  into.fill(0);
  for (const { perGram, grams } of lines) {
    if (grams === 0) continue;
    addTimes(into, perGram, grams);
  }
  return into;
}

/** Share of the water that can boil off at most: a pan boiled dry is no sauce. */
const MOST_EVAPORATED = 0.95;

/**
 * Takes what boils off out of a batch: water alone.
 *
 * @param grams g of each component, changed in place
 * @param evaporationG g of water lost, 0 or more; at most nearly all of it
 * @returns the same vector
 */
export function boilOff(grams: ComponentVector, evaporationG: number): ComponentVector {
  grams[COMPONENT_INDEX.water] = partOf(grams, 'water') - boiledOff(grams, evaporationG);
  return grams;
}

/** Grams that really boil off of a batch when so many are meant to: never nearly all of its water. */
export function boiledOff(grams: ComponentVector, evaporationG: number): number {
  return evaporationG > 0 ? Math.min(evaporationG, MOST_EVAPORATED * partOf(grams, 'water')) : 0;
}

/**
 * Reads a vector as a plain object, for showing and writing.
 *
 * @param vector grams of each component
 * @returns the same, by name, components of 0 g included
 */
export function componentGrams(vector: ComponentVector): Record<ComponentName, number> {
  return recordOf(COMPONENT_NAMES, (name) => partOf(vector, name));
}
