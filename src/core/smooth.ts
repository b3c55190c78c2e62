/**
 * The smooth building blocks of the equations: steps, corners and caps that can be differentiated, so that a solver sees no
 * kinks. Pure arithmetic on dimensionless numbers.
 */

/**
 * Logistic step from 0 to 1.
 * @example sigmoid(0) // 0.5
 */
export function sigmoid(x: number): number {
  return 1 / (1 + Math.exp(-x));
}

/**
 * Softplus of width `width`: 0 well below 0, `x` well above it.
 * @example softPlus(10, 0.1) // 10
 */
export function softPlus(x: number, width: number): number {
  const scaled = x / width;
  return scaled > 40 ? x : width * Math.log1p(Math.exp(scaled));
}

/**
 * Smooth positive part: `max(x, 0)` with a corner rounded over about `roundness`.
 * @example positivePart(3, 0) // 3
 */
export function positivePart(x: number, roundness: number): number {
  return (x + Math.sqrt(x * x + roundness * roundness)) / 2;
}

/** x to the 24th power by repeated squaring. */
function toThe24th(x: number): number {
  const cube = x * x * x;
  const sixth = cube * cube;
  const twelfth = sixth * sixth;
  return twelfth * twelfth;
}

/** Below this share of the cap the 24th-power cap differs from the value by less than 1e-12 of it. */
const CAP_UNFELT_BELOW = 0.35;

/**
 * Smooth minimum of a value and a cap with exponent 24 (nearly a sharp corner): how solubility limits what dissolves.
 *
 * @param value 0 or more
 * @param cap above 0
 * @example softCap24(1, 1) // 0.9715
 */
export function softCap24(value: number, cap: number): number {
  const share = value / cap;
  if (share < CAP_UNFELT_BELOW) return value;
  if (share > 1e12) return cap;
  return value / (1 + toThe24th(share)) ** (1 / 24);
}

/**
 * Smooth minimum of a value and a cap with exponent 4 (a gentle corner): how thickeners level off.
 *
 * @param value 0 or more
 * @param cap above 0
 */
export function softCap4(value: number, cap: number): number {
  if (value === 0) return 0;
  const share = value / cap;
  const square = share * share;
  return value / Math.sqrt(Math.sqrt(1 + square * square));
}

/**
 * Smooth minimum of a value and a cap with exponent 2 (a wide corner): how crowding levels off.
 *
 * @param value 0 or more
 * @param cap above 0
 */
export function softCap2(value: number, cap: number): number {
  const share = value / cap;
  return value / Math.sqrt(1 + share * share);
}

/**
 * x to a power that is a multiple of a half, by a root and repeated squaring: several times faster than the general power.
 *
 * @param x 0 or more
 * @param power 0, 0.5, 1, 1.5…
 * @example halfPower(4, 1.5) // 8
 */
export function halfPower(x: number, power: number): number {
  let left = Math.floor(power);
  let result = power > left ? Math.sqrt(x) : 1;
  let square = x;
  while (left > 0) {
    if (left & 1) result *= square;
    square *= square;
    left >>= 1;
  }
  return result;
}
