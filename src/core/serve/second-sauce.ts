import type { Flow } from '../predict/state';

/** How two sauces must agree so that a line drawn in one with the other holds (J). */
export const DRAWING = { viscosityTimes: 1.6, mostYieldPa: 6, densityShare: 0.06 } as const;

/** A flow as drawing reads it. */
type Drawn = Pick<Flow, 'apparentViscosityPaS' | 'yieldStressPa'> & {
  readonly phases: { readonly densityKgM3: number };
};

/** Whether a second sauce can be drawn with into a first, and what does not agree. */
export interface DrawingMatch {
  readonly holds: boolean;
  /** the second's viscosity over the first's */
  readonly viscosityTimes: number;
  readonly isYieldLow: boolean;
  /** share by which densities differ */
  readonly densityShare: number;
}

/**
 * Whether lines and hearts drawn with a pick hold, at the plate's temperature.
 *
 * @see judgement: viscosities within x/÷ 1.6, both yield stresses below 6 Pa, densities within 6 %
 */
export function drawingMatch(first: Drawn, second: Drawn): DrawingMatch {
  const viscosityTimes = second.apparentViscosityPaS / first.apparentViscosityPaS;
  const isYieldLow = Math.max(first.yieldStressPa, second.yieldStressPa) < DRAWING.mostYieldPa;
  const densityShare = Math.abs(second.phases.densityKgM3 / first.phases.densityKgM3 - 1);
  const isNear = Math.abs(Math.log(viscosityTimes)) <= Math.log(DRAWING.viscosityTimes);
  return {
    holds: isNear && isYieldLow && densityShare < DRAWING.densityShare,
    viscosityTimes,
    isYieldLow,
    densityShare,
  };
}
