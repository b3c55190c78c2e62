import { nth } from '../../nth';
import { shareIn, shareLeft, withShare } from '../edit-steps';
import type { Method, MethodStep } from '../step';
import { methodBy } from '../ways/ways';
import type { Case, Remedy } from './remedy';

/** Where a row goes in by the way itself, else where its like goes in, else at the start. */
export function belonging({ rows, steps }: Omit<Case, 'at'>, way: Method['way'], row: number, pourC: number): Remedy[] {
  const left = shareLeft(steps, row);
  const kind = methodBy(way, rows, pourC)?.steps.find((each) => shareIn(each, row) > 0)?.kind;
  const places = [
    steps.findIndex((each) => each.kind === kind),
    steps.findIndex(({ adds }) => adds.some((each) => rows.roles[each.row] === rows.roles[row])),
    // A spirit never goes in first: it would be boiled.
    rows.roles[row] === 'spirit' ? steps.length - 1 : steps.findIndex(({ where }) => where !== 'aside'),
  ].filter((at) => at >= 0);
  return places.map((at) => ['putWhereItBelongs', withShare(steps, at, row, shareIn(nth(steps, at), row) + left)]);
}

/** A row that goes in more than once over: each part by as much less. */
export function onlyOnce(steps: readonly MethodStep[], row: number, share: number): Remedy[] {
  const adds = (step: MethodStep) =>
    step.adds.map((each) => (each.row === row ? { ...each, share: each.share / share } : each));
  return [['onlyOnce', steps.map((step) => ({ ...step, adds: adds(step) }))]];
}
