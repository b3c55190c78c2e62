/** What a kitchen knows of one of its offsets, in natural logarithms. */
export interface Offset {
  readonly mean: number;
  readonly sd: number;
}

/** Before any test of this kitchen: for flow, for the fat set, and for shine (on its index before the curve) (J). */
export const PRIOR = {
  warm: { mean: 0, sd: 0.45 },
  cold: { mean: 0, sd: 0.65 },
  shine: { mean: 0, sd: 0.8 },
} as const satisfies Record<string, Offset>;

/** Standard error of one reading, in natural logarithms (J). */
export const READING_SD = { ringOrFilm: 0.25, dentOrCone: 0.35, feel: 0.5 } as const;

/** What stays unknown however often a kitchen has measured (J). */
export const LEFT_OVER_SD = 0.3;

/**
 * Learns an offset from readings of one kind: Bayes' rule for a normal mean.
 *
 * @param prior what was known
 * @param residuals ln(measured) - ln(predicted with no offset), any number
 * @param readingSd standard error of each, above 0
 * @example learnOffset(PRIOR.warm, [-0.35], 0.25) // mean -0.27, sd 0.22
 */
export function learnOffset(prior: Offset, residuals: readonly number[], readingSd: number): Offset {
  const precision = 1 / prior.sd ** 2 + residuals.length / readingSd ** 2;
  const sum = residuals.reduce((total, r) => total + r / readingSd ** 2, prior.mean / prior.sd ** 2);
  return { mean: sum / precision, sd: 1 / Math.sqrt(precision) };
}

/** Standard deviation of the model in this kitchen once it has measured. */
export function calibratedSd(offset: Offset): number {
  return Math.hypot(offset.sd, LEFT_OVER_SD);
}
