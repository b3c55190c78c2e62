import { baseArea, type Vessel } from './vessel';

/** W/m²/K of the film of a liquid of 1 mPa·s over the base (laminar film; number J). */
const FILM = 3500;
const FILM_VISCOSITY = 0.001;
/** °C and width at which a wall begins to catch under water, and burns chocolate that holds none (J). */
const CATCHES = { c: 142, width: 10 };
const BURNS = { c: 75, width: 6 };
const MOST_RATE = 20;

/**
 * Temperature of the base under a liquid.
 *
 * @param liquidC °C
 * @param heatW W through the base
 * @param viscosityPaS of the liquid at the base
 * @param stir 0 to 1
 * @returns °C
 */
export function wallTemperature(
  liquidC: number,
  heatW: number,
  viscosityPaS: number,
  stir: number,
  vessel: Vessel,
): number {
  const film = FILM * Math.cbrt(FILM_VISCOSITY / viscosityPaS) * (0.3 + 0.7 * stir);
  return liquidC + heatW / baseArea(vessel) / film;
}

/**
 * How fast a wall catches: 1 in all means it has begun.
 *
 * @param waterContinuous 1 droplets in water, 0 bulk fat
 * @returns per minute (J)
 */
export function catchingRate(wallC: number, waterContinuous: number): number {
  const rate = ({ c, width }: typeof CATCHES) => Math.min(Math.exp((wallC - c) / width), MOST_RATE);
  return waterContinuous * rate(CATCHES) + (1 - waterContinuous) * rate(BURNS);
}
