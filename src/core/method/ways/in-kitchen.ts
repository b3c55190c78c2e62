import { methodFaults } from '../checks';
import type { MethodFault } from '../fault';
import { type FollowedStep, followMethod } from '../follow-method';
import type { MethodKitchen } from '../kitchen';
import { mendOf } from '../mends/mend';
import type { MethodRows } from '../rows';
import type { Method, WayId } from '../step';
import { variantsOf } from './ways';

/** A method that was followed in a kitchen, with what is wrong with it. */
export interface TriedMethod {
  readonly method: Method;
  readonly followed: readonly FollowedStep[];
  readonly faults: readonly MethodFault[];
}

/** Follows a method in a kitchen and judges it. */
export function tried(rows: MethodRows, method: Method, kitchen: MethodKitchen, pourC: number): TriedMethod {
  const followed = followMethod(rows, method, kitchen);
  return { method, followed, faults: methodFaults(rows, followed, pourC) };
}

/** °C by which one order of a way may end off its pour before the next is tried (J). */
const NEAR_THE_POUR_C = 1;

/** °C by which a method ends off its pour; 0 where it has set on the way. */
export function offPour({ followed }: TriedMethod, pourC: number): number {
  const last = followed.at(-1);
  if (!last || followed.some(({ step }) => step.end.kind === 'stand')) return 0;
  return Math.abs(last.end.temperatureC - pourC);
}

/** s a method takes in pan and bowl, without its stands in the cold. */
export const inThePan = ({ followed }: TriedMethod) =>
  followed.reduce((sum, { step, seconds }) => (step.end.kind === 'stand' ? sum : sum + seconds), 0);

/** Below 0 where one trial is better than another: less left wrong, then nearer to its pour. */
export const compareTrials = (a: TriedMethod, b: TriedMethod, pourC: number) =>
  a.faults.length - b.faults.length || offPour(a, pourC) - offPour(b, pourC);

/** Mends a way gives itself at most; one with more wrong than so much is not the way for what is in the pan. */
const MOST_MENDS = 3;
const WORTH_MENDING = 2;
/** s a method may take in the pan and still be mended by trial: what takes half a day is for the cook to change. */
const MENDED_WITHIN_S = 3 * 3600;

/** A method with its own mends, as long as each leaves less wrong; a pan is never swapped. */
function mended(rows: MethodRows, first: TriedMethod, kitchen: MethodKitchen, pourC: number): TriedMethod {
  let now = first;
  if (now.faults.length > WORTH_MENDING || inThePan(now) > MENDED_WITHIN_S) return now;
  for (let i = 0; i < MOST_MENDS && now.faults.length > 0; i++) {
    const judged = { ...now, rows, kitchen, pourC };
    const mend = now.faults.map((fault) => mendOf(fault, judged)).find((each) => each && 'steps' in each);
    if (!mend || !('steps' in mend)) return now;
    now = tried(rows, { ...now.method, steps: mend.steps }, kitchen, pourC);
  }
  return now;
}

/** s below which a step that puts nothing in is left out where the method does as well without it (J). */
const HARDLY_A_STEP_S = 5;

const isBrief = ({ step, seconds }: FollowedStep) =>
  step.where !== 'aside' && step.adds.length === 0 && seconds < HARDLY_A_STEP_S;

/** A method without its empty steps: nobody is told to let cool what is cool, nor to warm for a second what a mend has made warm. */
function pruned(rows: MethodRows, first: TriedMethod, kitchen: MethodKitchen, pourC: number): TriedMethod {
  let now = first;
  for (const brief of first.followed.filter(isBrief)) {
    const without = { ...now.method, steps: now.method.steps.filter((step) => step !== brief.step) };
    if (without.steps.length === 0) break;
    // What took no time changed nothing: it need not be followed again.
    const followed = now.followed.filter(({ step }) => step !== brief.step);
    const next =
      brief.seconds === 0
        ? { method: without, followed, faults: methodFaults(rows, followed, pourC) }
        : tried(rows, without, kitchen, pourC);
    const isAsNear = offPour(next, pourC) <= Math.max(offPour(now, pourC), NEAR_THE_POUR_C);
    if (next.faults.length <= now.faults.length && isAsNear) now = next;
  }
  return now;
}

/**
 * A formula worked in one way in this kitchen: of the orders the way leaves free (butter cold at the end, or in the liquid from the start) the first
 * that leaves nothing wrong and ends at its pour, mended by its own mends where none is clean.
 *
 * @param pourC °C it is poured, dipped or spread at
 * @returns nothing where the way does not suit the formula
 */
export function methodInKitchen(
  way: WayId,
  rows: MethodRows,
  pourC: number,
  kitchen: MethodKitchen,
): TriedMethod | undefined {
  let best: TriedMethod | undefined;
  for (const method of variantsOf(way, rows, pourC)) {
    const now = tried(rows, method, kitchen, pourC);
    if (now.faults.length === 0 && offPour(now, pourC) <= NEAR_THE_POUR_C) return pruned(rows, now, kitchen, pourC);
    if (!best || compareTrials(now, best, pourC) < 0) best = now;
    if (inThePan(now) > MENDED_WITHIN_S) break;
  }
  return best && pruned(rows, mended(rows, best, kitchen, pourC), kitchen, pourC);
}
