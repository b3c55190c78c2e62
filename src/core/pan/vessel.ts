/** A pan or bowl in a kitchen. */
export interface Vessel {
  /** m across the base, above 0 */
  readonly diameterM: number;
  /** °C of the kitchen */
  readonly kitchenC: number;
  /** relative humidity of the kitchen, 0-1 */
  readonly humidity: number;
  /** m above the sea */
  readonly altitudeM: number;
}

/** The usual kitchen around a pan (J). */
export const USUAL_KITCHEN = { kitchenC: 22, humidity: 0.5, altitudeM: 0 } as const;

/** m² of a pan's base, and of the surface that is open to the air. */
export function baseArea({ diameterM }: Pick<Vessel, 'diameterM'>): number {
  return (Math.PI * diameterM ** 2) / 4;
}

/** W/m²/K lost from pan and surface, over three times the base (J). */
const LOSS = 15;
const LOSS_AREAS = 3;

/** W that leave to the kitchen at a temperature, steam apart. */
export function lossToKitchen(temperatureC: number, vessel: Pick<Vessel, 'diameterM' | 'kitchenC'>): number {
  return LOSS * LOSS_AREAS * baseArea(vessel) * (temperatureC - vessel.kitchenC);
}
