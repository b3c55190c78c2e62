import { normalCdf } from '../normal';

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
