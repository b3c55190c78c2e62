import { type Brief, type Making, USUAL_MAKING, USUAL_WISHES, type Wishes } from '@/core/brief/brief';
import { type Job, usualJob } from '@/core/brief/job';
import type { JobUse } from '@/core/uses/catalogue';

/** A job as usual, with what a test says differently. */
export const jobOf = (use: JobUse, change: Partial<Job> = {}): Job => ({ ...usualJob(use), ...change });

/** A brief for some jobs, with what a test says differently. */
export function briefOf(
  jobs: readonly Job[],
  change: { kitchenC?: number; wishes?: Partial<Wishes>; making?: Partial<Making> } = {},
): Brief {
  return {
    jobs,
    kitchenC: change.kitchenC ?? 22,
    wishes: { ...USUAL_WISHES, ...change.wishes },
    making: { ...USUAL_MAKING, ...change.making },
  };
}
