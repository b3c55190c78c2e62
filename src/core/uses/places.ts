/** Where it stands between the work and the eating. */
export const PLACES = ['kitchen', 'case', 'fridge'] as const;

export type Place = (typeof PLACES)[number];

/** A refrigerated case in a shop, °C. */
export const CASE_C = 6;
const FRIDGE_C = 4;

/** °C where a batch stands; the kitchen has its own. */
export function placeC(place: Place, kitchenC: number): number {
  return place === 'kitchen' ? kitchenC : place === 'case' ? CASE_C : FRIDGE_C;
}
