import { hottestAfterBurst } from './burst';
import { type Followed, follow } from './follow';
import { type PanState, unmeltedG } from './pan';

/** Bursts until nothing is left to melt. */
export interface Bursts extends Followed {
  /** burst by burst */
  readonly plan: readonly PlannedBurst[];
}

/** One burst: how long, how hot its hottest place gets, and how warm it is once it is stirred. */
export interface PlannedBurst {
  readonly seconds: number;
  readonly hottestC: number;
  readonly stirredC: number;
}

const STEP_S = 5;
const LONGEST_S = 60;
/** s it is stirred after each burst (J). */
export const BURST_STIR_S = 15;
const MOST_BURSTS = 60;

/**
 * Melts a bowl in a microwave: the longest whole 5 s that keep its hottest place under a limit, stirred in between, until nothing is left to
 * melt and it is warm.
 *
 * @param start something in it
 * @param powerW of the microwave, above 0
 * @param hottestC °C no place may pass: 50 for dark, 45 for milk and white, 85 where it is mostly water (J)
 * @param toC °C it is to be at least when it is done
 * @returns the shortest burst is 5 s, even where that is too hot: `hottestC` tells; not reached where it does not come there in sixty bursts
 */
export function inBursts(start: PanState, powerW: number, hottestC: number, toC: number): Bursts {
  let pan = start;
  const plan: PlannedBurst[] = [];
  let hottest = start.temperatureC;
  const isDone = () => unmeltedG(pan) <= 0.01 && pan.temperatureC >= toC;
  while (!isDone() && plan.length < MOST_BURSTS) {
    let seconds = LONGEST_S;
    while (seconds > STEP_S && hottestAfterBurst(pan, powerW, seconds) > hottestC) seconds -= STEP_S;
    const burst = follow(pan, { microwaveW: powerW, stir: 0, cover: 0 }, { kind: 'seconds', seconds });
    hottest = Math.max(hottest, burst.hottestC ?? hottest);
    pan = follow(burst.pan, { stir: 0.6, tool: 'whisk', cover: 0 }, { kind: 'seconds', seconds: BURST_STIR_S }).pan;
    plan.push({ seconds, hottestC: burst.hottestC ?? burst.pan.temperatureC, stirredC: pan.temperatureC });
  }
  return { pan, seconds: pan.seconds - start.seconds, reached: isDone(), hottestC: hottest, plan };
}
