import type { Stretch } from './day-plan';
import type { FollowedStep } from './follow-method';

/** Steps during which hands are free. */
const WAITS: ReadonlySet<FollowedStep['step']['kind']> = new Set(['soak', 'pourOver', 'wait', 'cool', 'chill']);

/** Whether a step leaves the hands free. */
export const isWait = ({ step }: FollowedStep) => WAITS.has(step.kind);

/** s of a method in all, and those of them that need hands; what is done beside the pan is done meanwhile. */
export function timesOf(followed: readonly FollowedStep[]): { readonly seconds: number; readonly handsS: number } {
  const own = followed.filter(({ step }) => step.where !== 'aside');
  const sum = (steps: readonly FollowedStep[]) => steps.reduce((all, { seconds }) => all + seconds, 0);
  return { seconds: sum(own), handsS: sum(own.filter((each) => !isWait(each))) };
}

/** What a step takes of the kitchen: a ring under the pan, hands or a shelf of the fridge. */
function takes(followed: FollowedStep): Stretch['what'][] {
  const { step } = followed;
  const ring = step.heat !== undefined && (step.where === 'pan' || step.heat === 'bath') ? (['hob'] as const) : [];
  if (step.end.kind === 'stand') return ['fridge'];
  return isWait(followed) ? [...ring] : ['hands', ...ring];
}

/** A method as a day sees it: what it takes when, min from its start. What is done beside the pan is done with the first hands. */
export function stretchesOf({
  followed,
  seconds,
}: {
  readonly followed: readonly FollowedStep[];
  /** in all */
  readonly seconds: number;
}) {
  let at = 0;
  const stretches = followed.flatMap((each): Stretch[] => {
    if (each.step.where === 'aside') return [];
    const from = at;
    at += each.seconds / 60;
    return at > from ? takes(each).map((what) => ({ what, from, to: at })) : [];
  });
  return { lasts: seconds / 60, stretches };
}
