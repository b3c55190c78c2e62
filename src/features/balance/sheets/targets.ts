import type { Edit } from '../draft/edit';

/** What a formula must do, as its sheet takes it over in one step. */
export type Targets = Extract<Edit, { type: 'targets' }>;

/** A number to type: without binary dust. */
export const plainNumber = (value: number) => String(Math.round(value * 1e4) / 1e4);
