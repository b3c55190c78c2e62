import { readPan } from './advance';
import { hottestAfterBurst } from './burst';
import { DRY_G } from './dry';
import { type Followed, follow } from './follow';
import { heatCapacityOf } from './melting';
import { liquidG, type PanState, unmeltedG } from './pan';

/** Bursts until nothing is left to melt. */
export interface Bursts extends Followed {
  /** s each burst lasts */
  readonly lengths: readonly number[];
}

const STEP_S = 5;
const LONGEST_S = 60;
const STIR_S = 15;
const MOST_BURSTS = 60;

/** J/kg/K of what is in a bowl: its liquid, or its lumps where there is none. */
function heatCapacity(pan: PanState): number {
  const [first] = pan.lumps;
  if (liquidG(pan) >= DRY_G) return readPan(pan).heatCapacity;
  return first ? heatCapacityOf(first.perGram) : 4180;
}

/**
 * Melts a bowl in a microwave: the longest whole 5 s that keep its hottest place under a limit, stirred in between, until nothing is left to
 * melt and it is warm.
 *
 * @param start something in it
 * @param powerW of the microwave, above 0
 * @param hottestC °C no place may pass: 50 for dark, 45 for milk and white, 85 where it is mostly water (J)
 * @param toC °C it is to be at least when it is done
 * @returns not reached where even the shortest burst is too hot, or nothing melts it
 */
export function inBursts(start: PanState, powerW: number, hottestC: number, toC: number): Bursts {
  let pan = start;
  const lengths: number[] = [];
  let hottest = start.temperatureC;
  const isDone = () => unmeltedG(pan) <= 0.01 && pan.temperatureC >= toC;
  while (!isDone() && lengths.length < MOST_BURSTS) {
    const capacity = heatCapacity(pan);
    let seconds = LONGEST_S;
    while (seconds > STEP_S && hottestAfterBurst(pan, capacity, powerW, seconds) > hottestC) seconds -= STEP_S;
    const burst = follow(pan, { microwaveW: powerW, stir: 0, cover: 0 }, { kind: 'seconds', seconds });
    hottest = Math.max(hottest, hottestAfterBurst(pan, capacity, powerW, seconds));
    pan = follow(burst.pan, { stir: 0.6, tool: 'whisk', cover: 0 }, { kind: 'seconds', seconds: STIR_S }).pan;
    lengths.push(seconds);
  }
  return { pan, seconds: pan.seconds - start.seconds, reached: isDone(), hottestC: hottest, lengths };
}
