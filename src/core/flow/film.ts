import { GRAVITY } from '../gravity';

/** A batch as a film feels it. */
export interface FilmFlow {
  /** Pa·s at 10 1/s */
  readonly apparentViscosityPaS: number;
  readonly yieldStressPa: number;
  readonly densityKgM3: number;
}

/**
 * Thickness of the film that stays on a side: what the yield stress holds up, and what has not drained yet.
 *
 * @param flow of the sauce as it is poured
 * @param heightM m of side above the point, along its slope, above 0
 * @param seconds s until it stops, above 0
 * @param pull sine of the side's slope, above 0 to 1: an upright one has 1
 * @returns mm
 * @see Jeffreys 1930 (drainage, published); the yield film is a balance of forces
 * @example filmThickness({ apparentViscosityPaS: 2, yieldStressPa: 6, densityKgM3: 1100 }, 0.05, 3) // 2.31
 */
export function filmThickness(flow: FilmFlow, heightM: number, seconds: number, pull = 1): number {
  const along = { ...flow, densityKgM3: flow.densityKgM3 * pull };
  return heldThickness(along.yieldStressPa, along.densityKgM3) + drainingThickness(along, heightM, seconds);
}

/** mm that a yield stress holds up on a vertical side for good. */
function heldThickness(yieldStressPa: number, densityKgM3: number): number {
  return (1000 * yieldStressPa) / (densityKgM3 * GRAVITY);
}

/** mm that have not drained yet. */
function drainingThickness(flow: FilmFlow, heightM: number, seconds: number): number {
  const weight = flow.densityKgM3 * GRAVITY;
  return 1000 * Math.sqrt((flow.apparentViscosityPaS * heightM) / (weight * seconds));
}

/** Back of a spoon: 5 cm long, read after 5 s. */
const SPOON_M = 0.05;
const SPOON_S = 5;

/** Film on the back of a spoon after 5 s, mm. Above about 0.3 mm a cook says it coats the spoon (J). */
export function spoonCoat(flow: FilmFlow): number {
  return filmThickness(flow, SPOON_M, SPOON_S);
}

/**
 * Yield stress from which a line drawn through the film on a spoon holds: it must carry the film that was still draining under the plastic
 * viscosity, and no viscosity can do that for it. 1-4 Pa for sauces that nap.
 *
 * @param flow plastic viscosity Pa·s, density kg/m³
 * @returns Pa
 * @example yieldForSpoonLine({ plasticViscosityPaS: 0.1, densityKgM3: 1100 }) // 3.3
 */
export function yieldForSpoonLine(flow: { plasticViscosityPaS: number; densityKgM3: number }): number {
  const { plasticViscosityPaS, densityKgM3 } = flow;
  const film = drainingThickness(
    { apparentViscosityPaS: plasticViscosityPaS, yieldStressPa: 0, densityKgM3 },
    SPOON_M,
    SPOON_S,
  );
  return yieldForCoat(film, densityKgM3);
}

/**
 * Yield stress that holds a coat of a thickness up on a vertical side for good.
 *
 * @param thicknessMm mm
 * @param densityKgM3 kg/m³
 * @returns Pa
 */
export function yieldForCoat(thicknessMm: number, densityKgM3: number): number {
  return (densityKgM3 * GRAVITY * thicknessMm) / 1000;
}
