import type { FollowedStep } from '@/core/method/follow-method';

/** A step on the line of the work, in minutes from its start. */
export interface TimedStep {
  /** its place among the steps */
  readonly place: number;
  readonly followed: FollowedStep;
  readonly from: number;
  readonly to: number;
  /** min and °C */
  readonly points: readonly (readonly [minutes: number, temperatureC: number])[];
}

/** A stand of hours is drawn as so many minutes: the work around it must still be seen. */
const STAND_DRAWN_MIN = 12;

/** The steps of a method on one line; what is done beside the pan has no place on it. */
export function timedSteps(followed: readonly FollowedStep[]): TimedStep[] {
  let at = 0;
  return followed.flatMap((each, place): TimedStep[] => {
    if (each.step.where === 'aside') return [];
    const from = at;
    const isStand = each.step.end.kind === 'stand';
    const lasts = isStand ? STAND_DRAWN_MIN : each.seconds / 60;
    at += lasts;
    const began = each.start.seconds;
    const scale = each.seconds > 0 ? lasts / each.seconds : 0;
    const points = each.curve.map(([s, t]) => [from + (s - began) * scale, t] as const);
    return [{ place, followed: each, from, to: at, points }];
  });
}
