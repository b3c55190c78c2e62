import { nth } from '../nth';
import { solveQuadraticProgram } from '../quadratic-program';
import { seededNumbers } from '../random';
import type { Effort } from './effort';
import type { BalanceProblem } from './problem';
import {
  DAMPING,
  dot,
  isBetter,
  LAST_PENALTY,
  leastChange,
  leastSquares,
  look,
  type Point,
  passes,
  planStep,
  plus,
  slopes,
  stepLimits,
  TOUCHING,
} from './sequential-program';

/** Shifts a point into the bounds and back onto the equalities, as far as the bounds allow. */
function ontoEqualities(problem: BalanceProblem, wanted: readonly number[]): number[] | undefined {
  const n = wanted.length;
  const identity = Array.from({ length: n }, (_, a) => Array.from({ length: n }, (_, b) => (a === b ? 2 : 0)));
  const zero = new Array<number>(n).fill(0);
  const limits = stepLimits(problem, zero, Number.MAX_VALUE, 0);
  return solveQuadraticProgram({ quadratic: identity, linear: wanted.map((value) => -2 * value), ...limits });
}

/** What a search came to. */
export interface Found {
  /** passing point of least change, or `undefined` */
  readonly landing: Point | undefined;
  /** the honest nearest when nothing passes; `undefined` when the bounds and the total contradict each other */
  readonly nearest: Point | undefined;
}

/**
 * Looks for the least change from several starts: where the formula stands, then, if a gate still fails, scattered ones. A seized or nearly
 * inverted start sits behind a hump, so one start is not enough. What lands far off is looked for from more starts, since least squares may
 * have led into the farther of two landings; what cannot land is told after the first.
 *
 * @param starts how many starts at most, 1 or more
 * @param effort what work is left; without any it stops at the best it has seen
 */
export function search(problem: BalanceProblem, starts: number, effort: Effort): Found {
  const n = problem.free.length;
  if (n === 0) {
    const standing = look(problem, []);
    return passes(standing) ? { landing: standing, nearest: undefined } : { landing: undefined, nearest: standing };
  }
  const origin = ontoEqualities(problem, new Array<number>(n).fill(0));
  if (!origin) return { landing: undefined, nearest: undefined };
  const random = seededNumbers(20260117);
  let nearest: Point | undefined;
  for (let attempt = 0; attempt < starts; attempt++) {
    if (attempt > 0 && effort.left <= 0) break;
    const start = attempt === 0 ? origin : ontoEqualities(problem, scattered(problem, attempt, random));
    if (!start) continue;
    const close = leastSquares(problem, start, 40, effort);
    if (attempt === 0 && isHopeless(problem, close)) return { landing: undefined, nearest: close };
    const point = leastChange(problem, close, 40, effort);
    if (passes(point))
      return { landing: nearer(problem, point, { origin, attempt, starts, effort }), nearest: undefined };
    const sum = (p: Point) => p.clearance.reduce((total, c) => total + (c < 0 ? c * c : 0), DAMPING * p.change);
    if (!nearest || sum(close) < sum(nearest)) nearest = close;
  }
  return { landing: undefined, nearest };
}

/** Weighted ln units by which least squares may miss and a search is still worth its time. */
const HOPE = 0.3;

/**
 * Whether least squares already misses by so much that no start will land: the reasons are worth more than a longer search. Not so behind the hump of a
 * formula that is seized or nearly inverted, where the first start tells nothing.
 */
function isHopeless(problem: BalanceProblem, close: Point): boolean {
  if (Math.min(...close.clearance) > -HOPE) return false;
  const { waterContinuous, seizing } = problem.standing();
  return waterContinuous > BEHIND_A_HUMP.waterContinuous && (1 - waterContinuous) * seizing < BEHIND_A_HUMP.seizing;
}

const BEHIND_A_HUMP = { waterContinuous: 0.9, seizing: 0.2 } as const;

/** Changes (roots of the sum of y²) from which a landing may be a far one of several, and from which it is a hard case. */
const FAR = 0.16;
const HARD = 0.6;
const HARD_STARTS = 3;

/** A landing within this factor of what one straight step would take is no far one. */
const NEARLY = 1.1;

/** Sum of y² of one straight step from the origin that passes every gate to first order; nothing where there is none. */
function leastAtOnce(problem: BalanceProblem, origin: readonly number[]): number | undefined {
  const point = look(problem, origin);
  const model = { slope: slopes(problem, point), clearance: point.clearance };
  const plan = planStep(problem, origin, model, { penalty: LAST_PENALTY, trust: FIRST_REACH });
  if (!plan || plan.slackLeft > TOUCHING) return 0;
  return dot(plus(origin, plan.step), plus(origin, plan.step));
}

const FIRST_REACH = 3;

/** Of a landing and those found from other starts the one of least change: straight from the origin, and for hard cases from scattered ones. */
function nearer(
  problem: BalanceProblem,
  landing: Point,
  found: { readonly origin: readonly number[]; attempt: number; starts: number; effort: Effort },
): Point {
  const { origin, attempt, starts, effort } = found;
  let best = attempt === 0 ? landing : leastChange(problem, landing, 40, effort);
  const tryFrom = (start: readonly number[] | undefined) => {
    if (!start) return;
    const point = leastChange(problem, look(problem, start), 40, effort);
    if (isBetter(point, best)) best = point;
  };
  const atOnce = Math.sqrt(best.change) > FAR ? leastAtOnce(problem, origin) : undefined;
  if (atOnce === undefined || best.change <= NEARLY * atOnce) return best;
  tryFrom(origin);
  if (starts > 1 && (attempt > 0 || Math.sqrt(best.change) > HARD)) {
    const random = seededNumbers(20260118);
    for (let k = 1; k <= HARD_STARTS; k++) tryFrom(ontoEqualities(problem, scattered(problem, k, random)));
  }
  return best;
}

/** A start away from the formula: half scaled at random, half anywhere in the bounds. */
function scattered(problem: BalanceProblem, attempt: number, random: () => number): number[] {
  const { free, scale, lower, upper, formula } = problem;
  const batchG = formula.lines.reduce((sum, line) => sum + line.grams, 0);
  return free.map((line, k) => {
    const grams = formula.lines[line]?.grams ?? 0;
    if (attempt % 2 === 0) return nth(lower, k) + random() * (nth(upper, k) - nth(lower, k));
    const wanted = grams > 0 ? grams * Math.exp(1.4 * random() - 0.7) : 0.08 * batchG * random();
    return (wanted - grams) / nth(scale, k);
  });
}
