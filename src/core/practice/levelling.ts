import { spreadDiameter } from '../flow/ring-spread';
import { GRAVITY } from '../gravity';

/** How a sauce moves, Pa·s, Pa, kg/m³. */
export interface Moving {
  readonly plasticViscosityPaS: number;
  readonly yieldStressPa: number;
  readonly densityKgM3: number;
}

/** A spoon's line: m deep and wide when it is drawn. */
const LINE = { deepM: 0.006, wideM: 0.02 } as const;
/** Diameter of 20 ml let go from a ring, mm, so many seconds after. */
export const spreadAfter = (moving: Moving, seconds: number): number =>
  spreadDiameter(moving, 20, Math.max(seconds, 0.02));

/**
 * Part of a line drawn through a pan that is left after some seconds: gravity levels it against viscosity, and a yield stress keeps a rest of it.
 *
 * @param seconds 0 or more
 * @returns 0-1, falling, never below what the yield stress holds
 * @see levelling of a deep viscous layer, rate density g / (2 viscosity k) (Lamb 1932); the rest that a yield stress carries is ours
 */
export function lineLeft({ plasticViscosityPaS, yieldStressPa, densityKgM3 }: Moving, seconds: number): number {
  const weight = densityKgM3 * GRAVITY;
  const rest = Math.min(yieldStressPa / (weight * LINE.deepM), 1);
  const waves = (2 * Math.PI) / LINE.wideM;
  const fallsIn = (2 * plasticViscosityPaS * waves) / weight;
  return rest + (1 - rest) * Math.exp(-seconds / Math.max(fallsIn, 1e-6));
}

/**
 * How far its edge has run when a pan is tilted, mm: a layer slides where its weight along the slope is more than its yield stress.
 *
 * @param tiltDeg degrees
 */
export function runAfter(
  { plasticViscosityPaS, yieldStressPa, densityKgM3 }: Moving,
  tiltDeg: number,
  seconds: number,
): number {
  const along = densityKgM3 * GRAVITY * Math.sin((tiltDeg * Math.PI) / 180) * LINE.deepM;
  const pull = Math.max(along - yieldStressPa, 0);
  const speed = (pull * LINE.deepM) / (3 * plasticViscosityPaS);
  return Math.min(1000 * speed * seconds, 120);
}
