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
  if (last?.restedHours === restedHours && last.climates.length === points) return last.climates;
  const climates = Array.from({ length: points }, (_, i) => {
    const t = CURVE_FROM_C + ((CURVE_TO_C - CURVE_FROM_C) * i) / (points - 1);
    return climateAt(t, [[restedHours, t]]);
  });
  last = { restedHours, climates };
  return climates;
}

/** The temperatures asked for last: edit after edit reads the same ones. */
let last: { readonly restedHours: number; readonly climates: readonly Climate[] } | undefined;

/**
 * The curve of a batch that has rested the same time at every temperature: one rule for the whole curve.
 *
 * @param batch from `prepareBatch`, mass above 0
 * @param restedHours h at each temperature, above 0
 * @param points how many temperatures from 65 to 2 °C
 */
export function resistanceCurve(batch: Batch, restedHours: number, points = CURVE_POINTS): ResistanceCurve {
  const climates = curveClimates(restedHours, points);
  const temperatureC = new Float64Array(points);
  const resistancePa = new Float64Array(points);
  for (let i = 0; i < points; i++) {
    const climate = climates[i] as Climate;
    temperatureC[i] = climate.temperatureC;
    resistancePa[i] = flowIn(batch, climate).resistancePa;
  }
  return { temperatureC, resistancePa };
}
