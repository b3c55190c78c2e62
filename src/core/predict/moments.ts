import type { ThermalHistory } from '../matter/process';
import type { MomentRole } from './moment-role';

/** Most moments a formula is looked at. */
export const MOST_MOMENTS = 24;

/** A moment at which the batch is looked at: in the pan, at the pour, on the bench, from the fridge. */
export interface Moment {
  readonly name: string;
  /** what it is for; told by temperature and time when left out */
  readonly role?: MomentRole | undefined;
  readonly temperatureC: number;
  readonly history: ThermalHistory;
}
