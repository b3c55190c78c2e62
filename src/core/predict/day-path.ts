import { roleOf } from '../formula/moment-role';
import type { Moment } from '../formula/moments';
import type { ThermalHistory } from '../matter/process';
import { climateAt } from './climate';
import { type Batch, flowIn } from './state';

/** What happens to a batch after it is poured, up to one moment. */
export interface DayBranch {
  readonly moment: Moment;
  /** h since it left the pan, rising */
  readonly hours: Float64Array;
  /** Pa; the last is the moment's own */
  readonly resistancePa: Float64Array;
}

const STEPS = 24;
/** The first reading of a branch, h: nothing has set yet. */
const AT_ONCE_H = 1e-3;

const lengthOf = (history: ThermalHistory) => history.reduce((sum, [hours]) => sum + hours, 0);

/** The part of a history that has passed after some hours. */
function passed(history: ThermalHistory, hours: number): ThermalHistory {
  const steps: (readonly [number, number])[] = [];
  let left = hours;
  for (const [span, temperatureC] of history) {
    if (left <= 0) break;
    steps.push([Math.min(span, left), temperatureC]);
    left -= span;
  }
  return steps.length > 0 ? steps : [[AT_ONCE_H, history[0]?.[1] ?? 20]];
}

/**
 * The day of a batch: to each moment the way its own history tells, so that it arrives there with the very resistance the moment is judged by. What
 * is left on the bench and what goes into the fridge are branches of their own.
 *
 * @param batch mass above 0
 * @param moments one or more
 * @returns in the order of the moments; the pan itself is where all begin
 */
export function dayBranches(batch: Batch, moments: readonly Moment[]): DayBranch[] {
  return moments
    .filter((moment) => roleOf(moment) !== 'pan' || moments.length === 1)
    .map((moment) => {
      const lasts = Math.max(lengthOf(moment.history), AT_ONCE_H);
      const hours = new Float64Array(STEPS + 1);
      const resistancePa = new Float64Array(STEPS + 1);
      for (let step = 0; step <= STEPS; step++) {
        // Short steps first: most happens then.
        const now = step === STEPS ? lasts : Math.max(lasts * (step / STEPS) ** 2, AT_ONCE_H);
        const so = step === STEPS ? moment.history : passed(moment.history, now);
        const temperatureC = step === STEPS ? moment.temperatureC : (so.at(-1)?.[1] ?? moment.temperatureC);
        hours[step] = now;
        resistancePa[step] = flowIn(batch, climateAt(temperatureC, so)).resistancePa;
      }
      return { moment, hours, resistancePa };
    });
}
