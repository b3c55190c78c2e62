import { LEARNT, type Learnt } from './learnt';

/** Tests of a formula that all say the same: it is off the book in one direction. */
export interface OneSided {
  readonly about: Learnt;
  /** ln, above 0: thicker, firmer, shinier, slower */
  readonly mean: number;
  readonly tests: number;
}

/** Fewer tests than this say nothing of a direction (J). */
const LEAST_TESTS = 2;
/** A mean nearer than this is no miss, ln (J). */
const WORTH_SAYING = 0.12;

/**
 * Whether the tests of a formula's batches miss the book in one direction.
 *
 * @param readings of its batches, those set aside left out
 * @returns the quantities they agree on, the furthest first
 */
export function oneSided(readings: readonly { readonly about: Learnt; readonly residual: number }[]): OneSided[] {
  return LEARNT.flatMap((about): OneSided[] => {
    const residuals = readings.flatMap((each) => (each.about === about ? [each.residual] : []));
    const mean = residuals.reduce((sum, each) => sum + each, 0) / residuals.length;
    const agree = residuals.every((each) => Math.sign(each) === Math.sign(mean));
    return residuals.length >= LEAST_TESTS && agree && Math.abs(mean) > WORTH_SAYING
      ? [{ about, mean, tests: residuals.length }]
      : [];
  }).sort((a, b) => Math.abs(b.mean) - Math.abs(a.mean));
}
