import type { BatchAnswer } from '@/formats/batch';

/** What is rescued: a batch on the stove, or a formula without one. */
export interface RescueSource {
  readonly batch: BatchAnswer | undefined;
  /** a formula frozen as it is, where there is no batch; without an id it was only typed */
  readonly formula: { readonly id: string | undefined; readonly frozen: BatchAnswer['frozen'] } | undefined;
}
