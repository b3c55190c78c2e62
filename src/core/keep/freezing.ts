/** Coefficients of the freezing curve: -ln(aw) over degrees below zero, and over their square. */
const PER_DEGREE = 9.6934e-3;
const PER_DEGREE_SQUARED = 4.761e-6;

/**
 * Temperature at which the first ice forms. Colder than that the numbers of this model end: it knows no ice.
 *
 * @param waterActivity 0-1
 * @returns °C, 0 or less
 * @see Ferro Fontan & Chirife 1981 (published), solved for the temperature
 * @example firstIceC(0.934) // -6.8
 */
export function firstIceC(waterActivity: number): number {
  const lowering = -Math.log(Math.min(Math.max(waterActivity, 1e-3), 1));
  const root = Math.sqrt(PER_DEGREE ** 2 + 4 * PER_DEGREE_SQUARED * lowering);
  return 0 - (root - PER_DEGREE) / (2 * PER_DEGREE_SQUARED);
}
