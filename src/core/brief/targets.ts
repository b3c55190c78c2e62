import type { Gate } from '../formula/gates';
import type { Moment } from '../formula/moments';
import type { JobGate } from './job-gates';

/** A gate with the job and the reason it comes from; gates of the wishes and of the cook belong to no job. */
export interface BriefGate {
  readonly gate: Gate;
  readonly job?: number;
  readonly from?: JobGate;
  /** the gate the cook set on the bench, which this is */
  readonly byHand?: Gate;
}

/** What a job asks at a moment, before what others ask alike is taken together; without edges where the cook let it go. */
export interface AskedGate {
  readonly job: number;
  readonly from: JobGate;
  readonly moment: string;
}

/** Everything a formula takes over from a brief. */
export interface BriefTargets {
  readonly moments: readonly Moment[];
  readonly gates: readonly BriefGate[];
  readonly asked: readonly AskedGate[];
}
