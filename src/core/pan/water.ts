import { positivePart } from '../smooth';
import { baseArea, type Vessel } from './vessel';

/** J to boil off one kilogram of water. */
export const STEAM_HEAT = 2.26e6;

/**
 * Vapour pressure over pure water.
 *
 * @param temperatureC 0-130 °C
 * @returns Pa
 * @see Buck 1981, 1996 (published)
 * @example saturationPressure(100) // 101308
 */
export function saturationPressure(temperatureC: number): number {
  return TRIPLE_PA * Math.exp(lnRise(temperatureC));
}

const TRIPLE_PA = 611.21;

/** ln of the vapour pressure over that at 0 °C. */
const lnRise = (t: number) => ((18.678 - t / 234.5) * t) / (257.14 + t);

/**
 * Pressure of the air.
 *
 * @param altitudeM m above the sea, -400 to 9 000
 * @returns Pa
 * @see the standard atmosphere (published)
 */
export function airPressure(altitudeM: number): number {
  return 101_325 * (1 - 2.25577e-5 * altitudeM) ** 5.25588;
}

/** Newton's steps to a boiling point: more than enough from 100 °C. */
const STEPS = 12;
/** Water activity below which nothing boils that a cook would call a boil. */
const LEAST_ACTIVITY = 0.02;

/**
 * Temperature at which a mixture boils: its vapour pressure is that of the air. Syrup boils hotter, a mountain kitchen cooler.
 *
 * @param waterActivity of the mixture, 0-1
 * @param altitudeM m above the sea
 * @returns °C
 * @example boilingPoint(0.85, 0) // 104.6
 */
export function boilingPoint(waterActivity: number, altitudeM: number): number {
  const wanted = Math.log(airPressure(altitudeM) / (TRIPLE_PA * Math.max(waterActivity, LEAST_ACTIVITY)));
  let t = 100;
  for (let i = 0; i < STEPS; i++) {
    const miss = lnRise(t) - wanted;
    if (Math.abs(miss) < 1e-10) break;
    t -= (0.01 * miss) / (lnRise(t + 0.01) - lnRise(t));
  }
  return t;
}

/** W/m²/K of still air over the surface, J/m³/K of air per mass transfer (Lewis), kg/mol of water, J/mol/K and K of the film. */
const AIR_CONVECTION = 5;
const AIR_HEAT = 1100;
const WATER_KG_MOL = 0.018015;
const GAS_CONSTANT = 8.314;
const FILM_K = 330;
const ROUNDNESS_PA = 50;

/**
 * Water that leaves an open surface below the boil.
 *
 * @param temperatureC °C of the surface
 * @param waterActivity of the mixture, 0-1
 * @param vessel for its area and the air around
 * @param cover 0 open, 1 closed
 * @returns kg/s
 * @see heat and mass transfer alike (Lewis relation, published); still air 5 W/m²/K (J)
 */
export function surfaceLoss(temperatureC: number, waterActivity: number, vessel: Vessel, cover: number): number {
  const excess = positivePart(
    waterActivity * saturationPressure(temperatureC) - vessel.humidity * saturationPressure(vessel.kitchenC),
    ROUNDNESS_PA,
  );
  const perM2 = ((AIR_CONVECTION / AIR_HEAT) * WATER_KG_MOL * excess) / (GAS_CONSTANT * FILM_K);
  return perM2 * baseArea(vessel) * (1 - cover);
}
