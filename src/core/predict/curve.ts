import { lnDoubtOfResistance, modelDoubt } from './doubt';
import { type Batch, flowAt } from './state';

/** The curve of resistance to the spoon against temperature, warm to cold, with the model's own doubt. */
export interface ResistanceCurve {
  /** °C, falling */
  readonly temperatureC: Float64Array;
  /** Pa */
  readonly resistancePa: Float64Array;
  /** Pa, one standard deviation down and up */
  readonly lowPa: Float64Array;
  readonly highPa: Float64Array;
}

export const CURVE_FROM_C = 65;
export const CURVE_TO_C = 2;
export const CURVE_POINTS = 64;

/**
 * The curve of a batch that has rested the same time at every temperature: one rule for the whole curve.
 *
 * @param batch from `prepareBatch`, mass above 0
 * @param restedHours h at each temperature, above 0
 * @param points how many temperatures from 65 to 2 °C
 */
export function resistanceCurve(batch: Batch, restedHours: number, points = CURVE_POINTS): ResistanceCurve {
  const temperatureC = new Float64Array(points);
  const resistancePa = new Float64Array(points);
  const lowPa = new Float64Array(points);
  const highPa = new Float64Array(points);
  const doubt = modelDoubt(batch.mixture);
  for (let i = 0; i < points; i++) {
    const t = CURVE_FROM_C + ((CURVE_TO_C - CURVE_FROM_C) * i) / (points - 1);
    const flow = flowAt(batch, t, [[restedHours, t]]);
    const spread = Math.exp(lnDoubtOfResistance(flow, doubt));
    temperatureC[i] = t;
    resistancePa[i] = flow.resistancePa;
    lowPa[i] = flow.resistancePa / spread;
    highPa[i] = flow.resistancePa * spread;
  }
  return { temperatureC, resistancePa, lowPa, highPa };
}
