import { baseArea, type Vessel } from './vessel';

/** A hob under a pan. */
export interface Hob {
  /** W, above 0 */
  readonly powerW: number;
  /** share of it that reaches the pan, 0-1 */
  readonly efficiency: number;
  /** how far it is turned up, 0-1 */
  readonly level: number;
}

/** Share of a hob's power that reaches the pan (J, middle of the usual range). */
export const HOB_EFFICIENCY = { gas: 0.48, electric: 0.65, induction: 0.85 } as const;

/** W/m² the base takes before it scorches (gentle, J). */
const BASE_LIMIT = 45_000;

/**
 * Heat a hob brings into a pan: its power, until the base is the limit.
 *
 * @returns W
 */
export function hobHeat({ powerW, efficiency, level }: Hob, vessel: Pick<Vessel, 'diameterM'>): number {
  const supply = powerW * efficiency * level;
  const limit = BASE_LIMIT * baseArea(vessel);
  return supply > 0 ? (supply * limit) / (supply ** 4 + limit ** 4) ** (1 / 4) : 0;
}

/** W/m²K from the steam of simmering water into a bowl over it, and °C of that steam (J). */
const BATH = { perM2K: 300, steamC: 96 };

/**
 * Heat that simmering water brings into a bowl over it, through the bowl's base.
 *
 * @param liquidC °C of what is in the bowl
 * @returns W; nothing once it is as warm as the steam
 */
export function bathHeat(liquidC: number, vessel: Pick<Vessel, 'diameterM'>): number {
  return BATH.perM2K * baseArea(vessel) * Math.max(BATH.steamC - liquidC, 0);
}

/** kg of a load that takes up half of a microwave's power (J). */
const HALF_LOAD_KG = 0.08;

/**
 * Heat a microwave brings in: small loads take up less.
 *
 * @param powerW W of the microwave
 * @param massG all that is in it, g
 * @returns W
 * @example microwaveHeat(800, 250) // 606
 */
export function microwaveHeat(powerW: number, massG: number): number {
  const kg = massG / 1000;
  return (powerW * kg) / (kg + HALF_LOAD_KG);
}
