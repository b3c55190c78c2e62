import type { FollowedStep } from '@/core/method/follow-method';
import type { BatchHead } from '@/formats/batch';
import type { BatchState } from '@/formats/batch-state';
import type { KitchenTimer } from '@/formats/timers';
import { wordsOfStep } from '../words/fitting-words';

/** Steps that end by the clock; of the others the pan says when they end, and their time is only about. */
export const endsByTheClock = ({ step }: FollowedStep): boolean =>
  step.end.kind === 'seconds' || step.end.kind === 'stand';

/**
 * What of a batch ends at a time: timers of the cook's own, bursts, and steps that were started and end by the clock.
 *
 * @param followed the steps of its method
 */
export function timersOf(
  { id: batchId, name }: Pick<BatchHead, 'id' | 'name'>,
  followed: readonly FollowedStep[],
  state: BatchState,
): KitchenTimer[] {
  if (state.over) return [];
  const of = { batchId, name };
  const own = state.timers.map(
    ({ id, label, seconds, ms }): KitchenTimer => ({
      ...of,
      key: `${batchId} ${id} ${ms}`,
      label,
      dueMs: ms + 1000 * seconds,
      ownId: id,
    }),
  );
  const running = followed.flatMap((each, place): KitchenTimer[] => {
    const step = state.steps[place];
    if (step?.status !== 'now' && step?.status !== 'aside') return [];
    const label = wordsOfStep(each).name;
    const burst = state.bursts.findLast((one) => one.step === place && one.ms >= (step.begunMs ?? 0));
    if (burst) {
      const dueMs = burst.ms + 1000 * burst.seconds;
      return [{ ...of, key: `${batchId} ${place} ${burst.ms}`, label: `${label}: stir now`, dueMs, ownId: null }];
    }
    if (step.startedMs === undefined || !endsByTheClock(each)) return [];
    const dueMs = step.startedMs + 1000 * each.seconds;
    return [{ ...of, key: `${batchId} ${place} ${step.startedMs}`, label, dueMs, ownId: null }];
  });
  return [...own, ...running];
}
