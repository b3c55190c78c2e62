/**
 * Standard normal distribution function.
 * @see Abramowitz & Stegun 1964, 7.1.26 (error below 1.5e-7)
 */
export function normalCdf(x: number): number {
  const t = 1 / (1 + (0.3275911 * Math.abs(x)) / Math.SQRT2);
  const tail =
    t *
    (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429)))) *
    Math.exp((-x * x) / 2);
  return x >= 0 ? 1 - tail / 2 : tail / 2;
}

/**
 * Chance that a quantity lands in its band when the prediction is off by a normal error of its logarithm.
 *
 * @param value predicted, above 0
 * @param band a low of 0 or none is no lower edge
 * @param lnSd standard deviation of ln(value), above 0
 * @returns 0-1
 */
export function chanceInBand(
  value: number,
  band: { low?: number | undefined; high?: number | undefined },
  lnSd: number,
): number {
  const at = (edge: number) => normalCdf((Math.log(edge) - Math.log(value)) / lnSd);
  return (band.high === undefined ? 1 : at(band.high)) - (band.low ? at(band.low) : 0);
}
