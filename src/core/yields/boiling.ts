import { positivePart } from '../smooth';

/** Share of a hob's power that reaches the pan (J, middle of the usual range). */
export const HOB_EFFICIENCY = { gas: 0.48, electric: 0.65, induction: 0.85 } as const;

/** A pan on the heat. */
export interface PanOnHeat {
  /** W of the hob, above 0 */
  readonly powerW: number;
  /** share of it that reaches the pan, 0-1 */
  readonly efficiency: number;
  /** m across the pan's base, above 0 */
  readonly panDiameterM: number;
  /** how far the hob is turned up, 0-1 */
  readonly level: number;
}

/** W/m² beyond which the base scorches (gentle, J); W/m²/K lost from the surface; J/kg of steam. */
const BASE_LIMIT = 45_000;
const SURFACE_LOSS = 15;
const STEAM_HEAT = 2.26e6;

/** W that reach the sauce. */
function heatIn({ powerW, efficiency, panDiameterM, level }: PanOnHeat): number {
  const supply = powerW * efficiency * level;
  const limit = (BASE_LIMIT * Math.PI * panDiameterM ** 2) / 4;
  return (supply * limit) / (supply ** 4 + limit ** 4) ** (1 / 4);
}

/**
 * Grams of water a boiling pan loses in a minute. It grows with the power until the base is the limit, then with the width squared.
 *
 * @returns g/min
 * @see heat balance; limits are judgement
 * @example evaporationRate({ powerW: 2000, efficiency: 0.6, panDiameterM: 0.2, level: 1 }) // 25.9
 */
export function evaporationRate(pan: PanOnHeat): number {
  const area = (Math.PI * pan.panDiameterM ** 2) / 4;
  return (60_000 * positivePart(heatIn(pan) - SURFACE_LOSS * 3 * area * 75, 20)) / STEAM_HEAT;
}

/**
 * Minutes to boil a loss off: heating up, then boiling.
 *
 * @param pan on the heat
 * @param massG g in the pan
 * @param heatCapacity J/kg/K
 * @param riseC °C to the boil
 * @param lossG g of water to lose
 * @returns min
 */
export function boilMinutes(pan: PanOnHeat, massG: number, heatCapacity: number, riseC: number, lossG: number): number {
  return ((massG / 1000) * heatCapacity * riseC) / heatIn(pan) / 60 + lossG / evaporationRate(pan);
}
