import type { ThermalHistory } from '../matter/process';

/** What a moment is for, whatever it is called. */
export const MOMENT_ROLES = ['pan', 'pour', 'bench', 'fridge', 'eat'] as const;

export type MomentRole = (typeof MOMENT_ROLES)[number];

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
