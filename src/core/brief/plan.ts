import type { FilmFlow } from '../flow/film';
import { type BatchSize, batchSize } from '../yields/batch-size';
import type { Brief } from './brief';
import { type BriefTargets, briefTargets } from './brief-gates';
import { type Exclusion, exclusions } from './exclusion';
import { jobGates } from './job-gates';

/** All that follows from a brief at once: what it must do, how much of it, and what excludes each other. */
export interface BriefPlan {
  readonly targets: BriefTargets;
  readonly size: BatchSize;
  readonly excluded: readonly Exclusion[];
}

/**
 * Works a brief out.
 *
 * @param brief with at least one job, all within its reach
 * @param flowOf the flow of a formula at a job's work, once there is one: its own film then counts
 * @example planBrief(brief).size.finishedG
 */
export function planBrief(brief: Brief, flowOf?: (index: number) => FilmFlow | undefined): BriefPlan {
  const jobs = brief.jobs.map((job) => ({ job, gates: jobGates(job) }));
  const size = batchSize(jobs, brief.making, flowOf);
  const targets = briefTargets(brief, size.jobs[0]?.eachG ?? 0);
  return { targets, size, excluded: exclusions(targets) };
}
