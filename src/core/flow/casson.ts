/** Shear rate of a slow stir, 1/s: where resistance and apparent viscosity are read. */
export const SLOW_STIR = 10;

/**
 * Apparent viscosity of a Casson fluid.
 *
 * @param yieldStressPa Pa, 0 or more
 * @param plasticViscosityPaS Pa·s, above 0
 * @param shearRate 1/s, above 0
 * @returns Pa·s
 * @see Casson 1959 (published)
 * @example cassonViscosity(3.656, 0.1105, 10) // 0.878
 */
export function cassonViscosity(yieldStressPa: number, plasticViscosityPaS: number, shearRate: number): number {
  const root = Math.sqrt(yieldStressPa / shearRate) + Math.sqrt(plasticViscosityPaS);
  return root * root;
}

/**
 * Resistance to the spoon: the Casson stress at a slow stir, the one quantity of the curve.
 *
 * @returns Pa; 0.03 water-thin, 10 runny honey, 1 000 soft butter, 100 000 chocolate bar
 */
export function resistance(yieldStressPa: number, plasticViscosityPaS: number): number {
  return SLOW_STIR * cassonViscosity(yieldStressPa, plasticViscosityPaS, SLOW_STIR);
}
