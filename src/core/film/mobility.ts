import { GRAVITY } from '../gravity';

/** How a sauce flows: Casson, and its density. */
export interface FilmFluid {
  /** Pa, 0 or more */
  readonly yieldStressPa: number;
  /** Casson's viscosity at infinite shear, Pa·s, above 0 */
  readonly plasticViscosityPaS: number;
  /** kg/m³ */
  readonly densityKgM3: number;
}

/** From here on a layer counts as no deeper for its flow, m (J): a deep bowl does not run like a lake. */
export const DEEPEST_M = 0.015;

/** Mobility of a film from its depth (m) and slope; see {@link mobility}. */
export type Mobility = (depthM: number, slope: number) => number;

/** The mobility of one fluid, its constants worked out once: called for each face of each step. */
export function mobilityOf({ yieldStressPa: ty, plasticViscosityPaS, densityKgM3 }: FilmFluid): Mobility {
  const weight = densityKgM3 * GRAVITY;
  const newtonian = weight / (3 * plasticViscosityPaS);
  // Without a yield the slope cancels out; the limit is taken there.
  if (ty <= 0) return (depthM) => newtonian * Math.min(depthM, DEEPEST_M) ** 3;
  const rootTy = Math.sqrt(ty);
  const constant = -(ty ** 3) / 3 + 0.8 * ty ** 3 - ty ** 3 / 2;
  return (depthM, slope) => {
    const h = Math.min(depthM, DEEPEST_M);
    const g = weight * slope;
    const tb = h * g;
    if (tb <= ty) return 0;
    const integral = tb * tb * (tb / 3 - 0.8 * rootTy * Math.sqrt(tb) + ty / 2) + constant;
    return integral <= 0 ? 0 : (weight * integral) / (plasticViscosityPaS * g * g * g);
  };
}

/**
 * How easily a film flows down its slope: its flux is the mobility times the slope.
 *
 * @param depthM m, 0 or more; counted up to {@link DEEPEST_M}
 * @param slope of its surface against the level, without unit, 0 or more
 * @returns m²/s by unit of slope; 0 where the stress at the base is not above the yield
 * @see Liu & Mei 1989, Balmforth et al. 2006 (published); Casson's profile integrated, which is Huppert 1982 without yield
 * @example mobility({ yieldStressPa: 3, plasticViscosityPaS: 0.5, densityKgM3: 1150 }, 0.004, 0.2) // 5.35e-5
 */
export const mobility = (fluid: FilmFluid, depthM: number, slope: number): number => mobilityOf(fluid)(depthM, slope);
