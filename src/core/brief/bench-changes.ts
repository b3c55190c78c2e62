import type { Gate } from '../formula/gates';
import type { Moment } from '../formula/moments';
import type { Brief, SetByHand } from './brief';
import type { Job, Overruled } from './job';
import { planBrief } from './plan';
import { sameTime } from './set-by-hand';
import type { BriefTargets } from './targets';

/** Moments and gates as they stand on the bench. */
export interface OnBench {
  readonly moments: readonly Moment[];
  readonly gates: readonly Gate[];
}

const sameBand = (a: Overruled, b: Overruled) =>
  (a.low ?? 0) === (b.low ?? 0) && a.high === b.high && (a.weight ?? 1) === (b.weight ?? 1);

/** The bench's moment for each of the brief's, by name, or renamed: the same time under a name the brief does not have. */
function pairMoments(given: readonly Moment[], bench: readonly Moment[]): Map<Moment, Moment> {
  const names = new Set(given.map(({ name }) => name));
  const renamed = bench.filter(({ name }) => !names.has(name));
  const pairs = new Map<Moment, Moment>();
  for (const moment of given) {
    const own = bench.find(({ name }) => name === moment.name);
    const at = own ? -1 : renamed.findIndex((each) => sameTime(each, moment));
    const found = own ?? renamed.splice(at, at < 0 ? 0 : 1)[0];
    if (found) pairs.set(moment, found);
  }
  return pairs;
}

/** Moments of the bench that the brief does not give as they stand there. */
function momentsByHand(pairs: ReadonlyMap<Moment, Moment>, bench: readonly Moment[]): SetByHand['moments'] {
  const paired = new Set(pairs.values());
  const changed = [...pairs].filter(([over, moment]) => over.name !== moment.name || !sameTime(over, moment));
  return [
    ...changed.map(([over, moment]) => ({ moment, over })),
    ...bench.filter((moment) => !paired.has(moment)).map((moment) => ({ moment })),
  ];
}

/** Jobs with a band that is asked at a moment said otherwise: other pieces of the same job ask the same once, so all of them are. */
function overruled(jobs: readonly Job[], given: BriefTargets, gate: Gate, own: Overruled): readonly Job[] {
  const { low, high, weight } = own;
  return jobs.map((job, i) => {
    const keys = given.asked
      .filter((each) => each.job === i && each.moment === gate.moment && each.from.quantity === gate.quantity)
      .filter(({ from }) => sameBand(from, gate))
      .map(({ from }) => [from.key, { low, high, weight }] as const);
    return keys.length > 0 ? { ...job, overruled: { ...job.overruled, ...Object.fromEntries(keys) } } : job;
  });
}

/**
 * A brief that knows what was changed on the bench since it set the moments and gates there, so that opening it again loses none of it:
 * bands of a job become overruled ones, all else is kept as set by hand. A moment that was taken out comes back: the job is worked then.
 *
 * @param brief as it last stood with the formula
 * @param bench the formula's moments and gates now
 * @returns the same brief where nothing was changed
 */
export function withBenchChanges(brief: Brief, bench: OnBench): Brief {
  const given = planBrief({ ...brief, byHand: undefined }).targets;
  const pairs = pairMoments(given.moments, bench.moments);
  const moments = momentsByHand(pairs, bench.moments);
  const nameOnBench = new Map([...pairs].map(([{ name }, moment]) => [name, moment.name]));

  const left = [...bench.gates];
  const gates: Gate[] = [];
  let { jobs } = brief;
  for (const { gate, job } of given.gates) {
    const moment = nameOnBench.get(gate.moment);
    if (moment === undefined) continue;
    const at = left.findIndex((each) => each.moment === moment && each.quantity === gate.quantity);
    const [own] = left.splice(at, at < 0 ? 0 : 1);
    if (own && sameBand(own, gate)) continue;
    if (job !== undefined) jobs = overruled(jobs, given, gate, own ?? {});
    else if (own) gates.push(own);
  }
  gates.push(...left);
  return { ...brief, jobs, byHand: moments.length + gates.length > 0 ? { moments, gates } : undefined };
}
