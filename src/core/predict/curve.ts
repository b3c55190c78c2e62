import type { Climate } from '../matter/climate';
import { climateAt } from './climate';
import { type Batch, flowIn } from './state';

/** The curve of resistance to the spoon against temperature, warm to cold. */
export interface ResistanceCurve {
  /** °C, falling */
  readonly temperatureC: Float64Array;
  /** Pa */
  readonly resistancePa: Float64Array;
}

export const CURVE_FROM_C = 65;
export const CURVE_TO_C = 2;
const CURVE_POINTS = 64;

/**
 * The temperatures of a curve, warm to cold, each rested as long.
 *
 * @param restedHours h, above 0
 * @param points how many, 2 or more
 */
export function curveClimates(restedHours: number, points = CURVE_POINTS): readonly Climate[] {
  return Array.from({ length: points }, (_, i) => {
    const t = CURVE_FROM_C + ((CURVE_TO_C - CURVE_FROM_C) * i) / (points - 1);
    return climateAt(t, [[restedHours, t]]);
  });
}

/**
 * The curve of a batch that has rested the same time at every temperature: one rule for the whole curve.
 *
 * @param batch from `prepareBatch`, mass above 0
 * @param climates from {@link curveClimates}: edit after edit reads the same ones
 */
export function resistanceCurve(batch: Batch, climates: readonly Climate[]): ResistanceCurve {
  return {
    temperatureC: Float64Array.from(climates, ({ temperatureC }) => temperatureC),
    resistancePa: Float64Array.from(climates, (climate) => flowIn(batch, climate).resistancePa),
  };
}
