import type { ThermalHistory } from '../matter/process';

/** A moment at which the batch is looked at: in the pan, at the pour, on the bench, from the fridge. */
export interface Moment {
  readonly name: string;
  readonly temperatureC: number;
  readonly history: ThermalHistory;
}
