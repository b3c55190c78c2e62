import { type BatchSize, batchSize, piecesOf } from '../yields/batch-size';
import type { Brief } from './brief';
import { briefTargets } from './brief-gates';
import { type Exclusion, exclusions } from './exclusion';
import { jobGates } from './job-gates';
import type { BriefTargets } from './targets';

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
 * @param densityKgM3 of the formula, once there is one
 * @example planBrief(brief).size.finishedG
 */
export function planBrief(brief: Brief, densityKgM3?: number): BriefPlan {
  const size = briefSize(brief, densityKgM3);
  const targets = briefTargets(brief, size.jobs[0]?.eachG ?? 0);
  return { targets, size, excluded: exclusions(targets) };
}

/** How much to make for a brief: all that {@link planBrief} gives, but the amount alone. */
export function briefSize(brief: Brief, densityKgM3?: number): BatchSize {
  return batchSize(sizedJobs(brief), brief.making, densityKgM3);
}

const sizedJobs = ({ jobs }: Brief) => jobs.map((job) => ({ job, gates: jobGates(job) }));

/**
 * How many pieces of each job a finished batch makes.
 *
 * @param finishedG g as it leaves the stove
 * @param densityKgM3 of the formula, once there is one
 */
export function piecesFrom(brief: Brief, finishedG: number, densityKgM3?: number): number[] {
  return piecesOf(sizedJobs(brief), brief.making, finishedG, densityKgM3);
}
