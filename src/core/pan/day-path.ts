import { roleOf } from '../formula/moment-role';
import type { Moment } from '../formula/moments';
import type { ThermalHistory } from '../matter/process';
import { nth } from '../nth';
import { climateAt } from '../predict/climate';
import { type Batch, flowIn } from '../predict/state';
import { type Body, COOLING_PLACES } from '../set/cooling';
import { pouredBody, type StillBody, stand, standingFlow, stillMaterial } from './still';

/** What happens to a batch after it is poured, up to one moment. */
export interface DayBranch {
  readonly moment: Moment;
  /** h since it was poured, rising */
  readonly hours: Float64Array;
  /** °C in its middle */
  readonly temperaturesC: Float64Array;
  /** Pa; the last is the moment's own */
  readonly resistancePa: Float64Array;
}

/** A layer of 1 cm, open above and on a rack below: what is poured stands so more often than not (J). */
export const DAY_BODY: Body = { shape: 'slab', lengthM: 0.005 };

const STEPS = 24;
/** The first reading of a branch, h: nothing has set yet. */
const AT_ONCE_H = 1e-3;
/** Below this a place is a fridge (J), °C. */
const FRIDGE_BELOW_C = 10;

/** Hours until each place of a history is left. */
function endsOf(history: ThermalHistory): number[] {
  let sum = 0;
  return history.map(([hours]) => {
    sum += hours;
    return sum;
  });
}

/** °C a branch begins at: as it was poured, or as warm as its own first place is. */
function pouredC(moment: Moment, moments: readonly Moment[]): number {
  const first = moment.history[0]?.[1] ?? moment.temperatureC;
  if (roleOf(moment) === 'pour' || roleOf(moment) === 'pan') return first;
  const pour = moments.find((each) => roleOf(each) === 'pour');
  return Math.max(first, pour?.temperatureC ?? first);
}

/** Lets a body stand on until some hours have passed, through the places of a history. */
function standUntil(
  still: StillBody,
  hours: number,
  history: ThermalHistory,
  material: ReturnType<typeof stillMaterial>,
): StillBody {
  const ends = endsOf(history);
  let at = still;
  while (hours - at.hours > 1e-9) {
    const place = ends.findIndex((end) => end > at.hours + 1e-9);
    const [, aroundC] = history[place] ?? history.at(-1) ?? [0, 20];
    const until = place < 0 ? hours : Math.min(hours, nth(ends, place));
    const surface = aroundC < FRIDGE_BELOW_C ? COOLING_PLACES.fridge : COOLING_PLACES.room;
    at = stand(at, material, { hours: until - at.hours, surface, aroundC });
  }
  return at;
}

/**
 * The day of a batch: to each moment as a layer cools that is poured and then stands where the moment's history says, so that it arrives
 * there with the very resistance the moment is judged by. What is left on the bench and what goes into the fridge are branches of their own.
 *
 * @param batch mass above 0
 * @param moments one or more
 * @param body what it is poured as
 * @returns in the order of the moments; the pan itself is where all begin
 */
export function dayBranches(batch: Batch, moments: readonly Moment[], body: Body = DAY_BODY): DayBranch[] {
  const material = stillMaterial(batch);
  return moments
    .filter((moment) => roleOf(moment) !== 'pan' || moments.length === 1)
    .map((moment) => {
      const lasts = Math.max(endsOf(moment.history).at(-1) ?? 0, AT_ONCE_H);
      const hours = new Float64Array(STEPS + 1);
      const temperaturesC = new Float64Array(STEPS + 1);
      const resistancePa = new Float64Array(STEPS + 1);
      let still = pouredBody(body, pouredC(moment, moments));
      for (let step = 0; step < STEPS; step++) {
        // Short steps first: most happens then.
        const now = Math.max(lasts * (step / STEPS) ** 2, AT_ONCE_H);
        still = standUntil(still, now, moment.history, material);
        hours[step] = now;
        temperaturesC[step] = nth(still.temperaturesC, 0);
        resistancePa[step] = standingFlow(still, batch).centre.resistancePa;
      }
      hours[STEPS] = lasts;
      temperaturesC[STEPS] = moment.temperatureC;
      resistancePa[STEPS] = flowIn(batch, climateAt(moment.temperatureC, moment.history)).resistancePa;
      return { moment, hours, temperaturesC, resistancePa };
    });
}
