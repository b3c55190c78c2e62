import { COMPONENT_COUNT, COMPONENT_INDEX, type ComponentName, type ComponentVector } from './components';

/** An empty vector: 0 of everything. */
export const noComponents = (): ComponentVector => new Float64Array(COMPONENT_COUNT);

/** What a vector holds of one component, in the vector's own unit. */
export function partOf(vector: ComponentVector, name: ComponentName): number {
  return vector[COMPONENT_INDEX[name]] ?? 0;
}

/**
 * Adds a multiple of a vector to another, in place.
 *
 * @param into changed
 * @param vector of what is added
 * @param times how many times it is added; negative takes away
 * @returns `into`
 */
export function addTimes(into: ComponentVector, vector: ComponentVector, times: number): ComponentVector {
  for (let i = 0; i < into.length; i++) into[i] = (into[i] ?? 0) + times * (vector[i] ?? 0);
  return into;
}

/** Lifts what fell below 0 to 0, in place: there is no negative gram. */
export function noneNegative(vector: ComponentVector): ComponentVector {
  for (let i = 0; i < vector.length; i++) vector[i] = Math.max(vector[i] ?? 0, 0);
  return vector;
}
