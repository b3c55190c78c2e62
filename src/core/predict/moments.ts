import type { ThermalHistory } from '../matter/process';

/** Most moments a formula is looked at. */
export const MOST_MOMENTS = 24;

/** A moment at which the batch is looked at: in the pan, at the pour, on the bench, from the fridge. */
export interface Moment {
  readonly name: string;
  readonly temperatureC: number;
  readonly history: ThermalHistory;
}
