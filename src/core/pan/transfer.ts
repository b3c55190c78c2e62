/** m/s at which the liquid goes past a lump when it is stirred hard (J). */
const PAST_M_S = 0.02;

/** What the liquid around a lump is like. */
export interface Around {
  readonly densityKgM3: number;
  /** Pa·s as the lump feels it: at the base's shear for pieces, of the syrup for grains */
  readonly viscosityPaS: number;
  /** m²/s of what spreads: heat, or a solute */
  readonly diffusivityM2S: number;
}

/**
 * How much faster a sphere gives or takes what spreads from it than by spreading alone: the number of Nusselt for heat, of Sherwood for matter.
 *
 * @param radiusM m, above 0
 * @param stir 0 left alone to 1 hard
 * @returns 2 in a liquid at rest, more the faster it goes past
 * @see Ranz & Marshall 1952, Froessling 1938 (published; the speed of stirring is judgement)
 */
export function transferNumber(radiusM: number, stir: number, around: Around): number {
  const { densityKgM3, viscosityPaS, diffusivityM2S } = around;
  if (stir <= 0) return 2;
  const reynolds = (2 * radiusM * PAST_M_S * stir * densityKgM3) / viscosityPaS;
  return 2 + 0.6 * Math.sqrt(reynolds) * Math.cbrt(viscosityPaS / (densityKgM3 * diffusivityM2S));
}
