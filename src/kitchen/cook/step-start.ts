import type { FollowedStep } from '@/core/method/follow-method';
import type { CookedBatch } from './cook-batch';

const isBursts = ({ step }: FollowedStep) => step.end.kind === 'bursts';

/** Whether heat has to be set for a step: it is not the one that is on already. Bursts are begun one by one. */
export function needsHeat({ method }: Pick<CookedBatch, 'method'>, place: number): boolean {
  const followed = method.followed[place];
  if (!followed?.step.heat || isBursts(followed)) return false;
  const before = method.followed.slice(0, place).findLast(({ step }) => step.where !== 'aside')?.step;
  return !before || before.heat !== followed.step.heat || before.where !== followed.step.where;
}

/** Whether the clock of a step starts by itself once all of it is in: there is no heat to set and no burst to begin. */
export function startsByItself(cooked: Pick<CookedBatch, 'method'>, place: number): boolean {
  const followed = cooked.method.followed[place];
  return followed !== undefined && !isBursts(followed) && !needsHeat(cooked, place);
}
