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

/** Standard normal density. */
export const normalDensity = (x: number): number => Math.exp((-x * x) / 2) / Math.sqrt(2 * Math.PI);

const REACH = 8;
const HALVINGS = 50;

/**
 * The number of standard deviations below which a share of a normal distribution lies: {@link normalCdf} read the other way, by bisection.
 *
 * @param share above 0, below 1
 * @example normalQuantile(0.9) // 1.2816
 */
export function normalQuantile(share: number): number {
  let [low, high] = [-REACH, REACH];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    if (normalCdf(middle) < share) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Standard deviations of the tenth and the ninetieth part: between them lie eight in ten. */
export const TENTH_SD = 1.2816;
