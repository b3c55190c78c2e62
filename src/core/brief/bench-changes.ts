import type { Gate } from '../balance/gates';
import type { Moment } from '../predict/moments';
import type { Brief, SetByHand } from './brief';
import type { Job, Overruled } from './job';
import { planBrief } from './plan';
import { sameTime } from './set-by-hand';

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

const overruledAs = (job: Job, key: string, { low, high, weight }: Overruled): Job => ({
  ...job,
  overruled: { ...job.overruled, [key]: { low, high, weight } },
});

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
  const paired = new Set(pairs.values());
  const moments: SetByHand['moments'][number][] = [];
  for (const [over, moment] of pairs) {
    if (over.name !== moment.name || !sameTime(over, moment)) moments.push({ moment, over });
  }
  for (const moment of bench.moments) if (!paired.has(moment)) moments.push({ moment });

  const left = [...bench.gates];
  const gates: Gate[] = [];
  const jobs = [...brief.jobs];
  const nameOnBench = new Map([...pairs].map(([{ name }, moment]) => [name, moment.name]));
  for (const { gate, job } of given.gates) {
    const moment = nameOnBench.get(gate.moment);
    if (moment === undefined) continue;
    const at = left.findIndex((each) => each.moment === moment && each.quantity === gate.quantity);
    const [own] = left.splice(at, at < 0 ? 0 : 1);
    if (own && sameBand(own, gate)) continue;
    if (job === undefined) {
      if (own) gates.push(own);
      continue;
    }
    // Other pieces of the same job ask the same once: all of them are said otherwise.
    for (const asked of given.asked) {
      const same = asked.moment === gate.moment && asked.from.quantity === gate.quantity && sameBand(asked.from, gate);
      const each = jobs[asked.job];
      if (same && each) jobs[asked.job] = overruledAs(each, asked.from.key, own ?? {});
    }
  }
  gates.push(...left);
  const byHand = moments.length + gates.length > 0 ? { moments, gates } : undefined;
  return { ...brief, jobs, byHand };
}
