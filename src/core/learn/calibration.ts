/** What is known of an offset, in natural logarithms. */
export interface Offset {
  readonly mean: number;
  readonly sd: number;
}

/** Standard error of one reading, in natural logarithms (J). */
export const READING_SD = { ringOrFilm: 0.25, dentOrCone: 0.35, feel: 0.5, threshold: 0.3, chillTime: 0.25 } as const;

/**
 * Learns one offset from readings of one kind: Bayes' rule for a normal mean.
 *
 * @param prior what was known
 * @param residuals ln(measured) - ln(predicted with no offset), any number
 * @param readingSd standard error of each, above 0
 * @example learnOffset({ mean: 0, sd: 0.45 }, [-0.35], 0.25) // mean -0.27, sd 0.22
 */
export function learnOffset(prior: Offset, residuals: readonly number[], readingSd: number): Offset {
  const precision = 1 / prior.sd ** 2 + residuals.length / readingSd ** 2;
  const sum = residuals.reduce((total, r) => total + r / readingSd ** 2, prior.mean / prior.sd ** 2);
  return { mean: sum / precision, sd: 1 / Math.sqrt(precision) };
}
