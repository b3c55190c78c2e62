import { nth } from '../nth';
import type { MethodStep, StepAddition } from './step';

/** Steps of a method, in order. Nothing here changes the list it is given. */
type Steps = readonly MethodStep[];

/** Least part of a row that counts. */
const LEAST_SHARE = 1e-6;

/** The steps with one put in before a place; the end is a place too. */
export const withStepAt = (steps: Steps, at: number, step: MethodStep): MethodStep[] => steps.toSpliced(at, 0, step);

/** The steps with some of one step's fields changed. */
export const changedStep = (steps: Steps, at: number, change: Partial<MethodStep>): MethodStep[] =>
  steps.map((step, i) => (i === at ? { ...step, ...change } : step));

/** The steps in another order. */
export function movedStep(steps: Steps, from: number, to: number): MethodStep[] {
  const step = nth(steps, from);
  return steps.toSpliced(from, 1).toSpliced(to, 0, step);
}

/** What goes in, with parts of one row as one. */
function merged(adds: readonly StepAddition[]): StepAddition[] {
  const rows = [...new Set(adds.map(({ row }) => row))];
  return rows.map((row) => {
    const parts = adds.filter((each) => each.row === row);
    return { ...nth(parts, 0), share: parts.reduce((sum, { share }) => sum + share, 0) };
  });
}

/** The steps without one: what went in with it goes in with the step after it, else with the one before. */
export function withoutStep(steps: Steps, at: number): MethodStep[] {
  const { adds } = nth(steps, at);
  const heir = at + 1 < steps.length ? at + 1 : at - 1;
  return steps
    .map((step, i) => (i === heir && adds.length > 0 ? { ...step, adds: merged([...adds, ...step.adds]) } : step))
    .toSpliced(at, 1);
}

/** A step as two: half of what goes in with each, half of the time where time is its end. */
export function splitStep(steps: Steps, at: number): MethodStep[] {
  const step = nth(steps, at);
  const { end } = step;
  const half: MethodStep = {
    ...step,
    adds: step.adds.map((each) => ({ ...each, share: each.share / 2 })),
    end:
      end.kind === 'seconds'
        ? { ...end, seconds: end.seconds / 2 }
        : end.kind === 'stand'
          ? { ...end, hours: end.hours / 2 }
          : end,
  };
  return steps.toSpliced(at, 1, half, half);
}

/** How much of a row goes in with a step. */
export const shareIn = ({ adds }: MethodStep, row: number): number =>
  adds.reduce((sum, each) => sum + (each.row === row ? each.share : 0), 0);

/** How much of a row no step takes. */
export const shareLeft = (steps: Steps, row: number): number =>
  Math.max(1 - steps.reduce((sum, step) => sum + shareIn(step, row), 0), 0);

/** The steps with so much of a row going in with one of them; none takes it out. */
export function withShare(
  steps: Steps,
  at: number,
  row: number,
  share: number,
  size?: StepAddition['size'],
): MethodStep[] {
  const { adds } = nth(steps, at);
  const others = adds.filter((each) => each.row !== row);
  const here = adds.find((each) => each.row === row);
  const part: StepAddition = { row, share, size: size ?? here?.size };
  if (share <= LEAST_SHARE) return changedStep(steps, at, { adds: others });
  if (!here) return changedStep(steps, at, { adds: [...adds, part] });
  return changedStep(steps, at, { adds: merged(adds).map((each) => (each.row === row ? part : each)) });
}

/** The steps with what one takes of a row going in with another instead. */
export function movedRow(steps: Steps, row: number, from: number, to: number): MethodStep[] {
  const [taken, there] = [shareIn(nth(steps, from), row), shareIn(nth(steps, to), row)];
  const size = nth(steps, from).adds.find((each) => each.row === row)?.size;
  return withShare(withShare(steps, from, row, 0), to, row, there + taken, size);
}
