import type { BatchState } from '@/formats/batch-state';
import type { CookedBatch } from './cook-batch';

/**
 * °C the pan of a batch has by reckoning, so long into its step.
 *
 * @param seconds since the clock of the step that is worked on was started; what the step's end is after that
 */
export function panTemperature({ method }: CookedBatch, state: BatchState, seconds: number): number {
  const { followed, kitchen } = method;
  const place = state.now ?? followed.length - 1;
  const step = followed[place];
  if (!step) return kitchen.kitchenC;
  // Beside the pan nothing happens to it.
  if (step.step.where === 'aside' || step.curve.length === 0) return step.end.temperatureC;
  const begun = step.start.seconds;
  let before = step.curve[0];
  for (const point of step.curve) {
    if (point[0] - begun >= seconds) {
      const [s0, t0] = before ?? point;
      const [s1, t1] = point;
      const share = s1 > s0 ? (seconds - (s0 - begun)) / (s1 - s0) : 1;
      return t0 + (t1 - t0) * Math.min(Math.max(share, 0), 1);
    }
    before = point;
  }
  return step.end.temperatureC;
}
