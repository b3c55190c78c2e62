import type { Gate } from '../formula/gates';
import { roleOf } from '../formula/moment-role';
import type { Moment } from '../formula/moments';
import { JOB_FACTS } from '../uses/catalogue';
import type { Brief, Wishes } from './brief';
import type { Job } from './job';
import { type JobMoment, jobGates, jobHistory, workTemperature } from './job-gates';
import { withSetByHand } from './set-by-hand';
import type { AskedGate, BriefGate, BriefTargets } from './targets';

const PAN: Moment = { name: 'pan', role: 'pan', temperatureC: 60, history: [[0.3, 60]] };

const SERVED = 'served';

/** A name that is free, with a number where it is not. */
function freeName(name: string, taken: readonly Moment[]): string {
  for (let n = 1; ; n++) {
    const tried = n === 1 ? name : `${name} ${n}`;
    if (!taken.some((moment) => moment.name === tried)) return tried;
  }
}

const sameMoment = (a: Moment, temperatureC: number, history: Moment['history']) =>
  a.temperatureC === temperatureC && JSON.stringify(a.history) === JSON.stringify(history);

/** The moment a job is worked or eaten: one that is there already, when it is the same. */
function momentFor(job: Job, at: JobMoment, kitchenC: number, moments: Moment[]): Moment {
  const temperatureC = at === 'work' ? workTemperature(job, kitchenC) : job.eatC;
  const history = jobHistory(job, at, kitchenC);
  const there = moments.find((moment) => moment !== PAN && sameMoment(moment, temperatureC, history));
  if (there) return there;
  const isFirstServed = !moments.some((moment) => moment.name === SERVED);
  const eaten = isFirstServed ? SERVED : `${JOB_FACTS[job.use].moment}, ${SERVED}`;
  const name = freeName(at === 'eat' ? eaten : JOB_FACTS[job.use].moment, moments);
  const role = at === 'eat' ? 'eat' : roleOf({ temperatureC, history });
  const moment: Moment = { name, role: role === 'pan' ? 'pour' : role, temperatureC, history };
  moments.push(moment);
  return moment;
}

/** Water activity up to which something keeps so many days (J): an index of growth pressure, never a use-by date. */
export function activityToKeep(days: number, keepIn: Wishes['keepIn']): number | undefined {
  if (keepIn === 'fridge') return days <= 4 ? undefined : days <= 10 ? 0.93 : days <= 30 ? 0.9 : 0.85;
  return days <= 1 ? undefined : days <= 28 ? 0.85 : 0.8;
}

const SHINE_LEAST = { any: undefined, satin: 40, high: 60 } as const;
const TASTE_BANDS = { any: undefined, bitter: [0, 0.38], balanced: [0.32, 0.52], sweet: [0.5, 1] } as const;

/** The gates of the wishes, read where it is worked first. */
function wishGates({ wishes }: Brief, moment: string, portionG: number): Gate[] {
  const gates: Gate[] = [];
  const least = SHINE_LEAST[wishes.shine];
  if (least !== undefined) gates.push({ moment, quantity: 'shine', low: least });
  const taste = TASTE_BANDS[wishes.taste];
  if (taste) gates.push({ moment, quantity: 'tasteBalance', low: taste[0] || undefined, high: taste[1] });
  if (wishes.cocoaPercent) gates.push({ moment, quantity: 'cocoaPercent', low: wishes.cocoaPercent });
  const activity = wishes.keepDays === undefined ? undefined : activityToKeep(wishes.keepDays, wishes.keepIn);
  if (activity !== undefined) gates.push({ moment, quantity: 'waterActivity', high: activity });
  if (wishes.portionCost && portionG > 0) {
    gates.push({
      moment,
      quantity: 'costPerKg',
      high: Number(((1000 * wishes.portionCost) / portionG).toPrecision(3)),
    });
  }
  return gates;
}

/**
 * The moments and gates a brief sets.
 *
 * @param brief with at least one job
 * @param portionG g of a portion of the first job, for its cost
 * @returns moments in the order pan, work, eaten, job after job; gates with their reasons; with what the cook set on the bench
 */
export function briefTargets(brief: Brief, portionG: number): BriefTargets {
  const moments: Moment[] = [PAN];
  const asked: AskedGate[] = [];
  brief.jobs.forEach((each, job) => {
    // Worked moments are there even without a gate: their puddle is what the cook looks at.
    momentFor(each, 'work', brief.kitchenC, moments);
    for (const from of jobGates(each)) {
      asked.push({ job, from, moment: momentFor(each, from.at, brief.kitchenC, moments).name });
    }
  });
  const gates: BriefGate[] = [];
  for (const { job, from, moment } of asked) {
    const { quantity, low, high, weight } = from;
    if (low === undefined && high === undefined) continue;
    // Other pieces of the same coat ask the same: once is enough.
    const isThere = ({ gate }: BriefGate) =>
      gate.moment === moment && gate.quantity === quantity && gate.low === low && gate.high === high;
    if (!gates.some(isThere))
      gates.push({ gate: { moment, quantity, low, high, ...(weight && { weight }) }, job, from });
  }
  const first = moments[1]?.name ?? PAN.name;
  const wished = wishGates(brief, first, portionG).map((gate) => ({ gate }));
  return withSetByHand({ moments, gates: [...gates, ...wished], asked }, brief.byHand);
}
