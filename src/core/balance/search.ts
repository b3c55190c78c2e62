import { solveQuadraticProgram } from '../quadratic-program';
import { seededNumbers } from '../random';
import { type Effort, spend } from './effort';
import { type BalanceProblem, clearances } from './problem';

/** Step of the forward differences, in scaled changes. */
const DIFFERENCE = 1e-4;
/** Weight of the change itself while violations are being removed. */
const DAMPING = 1e-3;
const FIRST_PENALTY = 100;
const LAST_PENALTY = 3000;
/** Weighted ln units that count as landed. */
const TOUCHING = 1e-7;

/** A point the search has seen. */
export interface Point {
  readonly y: readonly number[];
  /** sum of y² */
  readonly change: number;
  /** how far each edge is missed, 0 or more, weighted ln units */
  readonly clearance: readonly number[];
  /** sum of the misses */
  readonly miss: number;
}

/** Looks at a point: its change and its clearances. */
export function look(problem: BalanceProblem, y: readonly number[]): Point {
  const clearance = clearances(problem, problem.readings(y));
  let change = 0;
  for (const step of y) change += step * step;
  let miss = 0;
  for (const c of clearance) if (!(c >= 0)) miss += Number.isNaN(c) ? 1e3 : -c;
  return { y, change, clearance, miss };
}

/** Whether a point passes every gate. */
export function passes(point: Point): boolean {
  return point.miss <= TOUCHING;
}

/** Derivatives of the clearances, edges x variables, by forward differences (backward at an upper bound). */
function slopes(problem: BalanceProblem, point: Point): number[][] {
  const columns = point.y.map((value, k) => {
    const h = value + DIFFERENCE > (problem.upper[k] as number) ? -DIFFERENCE : DIFFERENCE;
    const moved = [...point.y];
    moved[k] = value + h;
    const c = clearances(problem, problem.readings(moved));
    return c.map((moving, j) => (moving - (point.clearance[j] as number)) / h);
  });
  return point.clearance.map((_, j) => columns.map((column) => column[j] as number));
}

/** The equalities and the bounds, with a trust region, on a step from y; `extra` unbounded variables follow. */
function stepLimits(problem: BalanceProblem, y: readonly number[], trust: number, extra: number) {
  const n = y.length;
  const unit = (k: number, sign: number) => {
    const row = new Array<number>(n + extra).fill(0);
    row[k] = sign;
    return row;
  };
  const inequalities: { row: number[]; least: number }[] = [];
  for (let k = 0; k < n; k++) {
    const value = y[k] as number;
    inequalities.push({ row: unit(k, 1), least: Math.max((problem.lower[k] as number) - value, -trust) });
    inequalities.push({ row: unit(k, -1), least: Math.max(value - (problem.upper[k] as number), -trust) });
  }
  const none = new Array<number>(extra).fill(0);
  const equalities = problem.equalities.map(({ row, equals }) => ({
    row: [...row, ...none],
    equals: equals - row.reduce((sum, factor, k) => sum + factor * (y[k] as number), 0),
  }));
  return { equalities, inequalities };
}

const plus = (y: readonly number[], step: readonly number[]) => y.map((value, k) => value + (step[k] as number));

/**
 * Damped least squares on the misses alone: minimises sum miss² + 1e-3 sum y². For a request that cannot be met its end is the honest
 * nearest, shared between the gates.
 */
export function leastSquares(
  problem: BalanceProblem,
  start: readonly number[],
  steps: number,
  effort: Effort = { left: Number.POSITIVE_INFINITY },
): Point {
  const n = start.length;
  let point = look(problem, start);
  const cost = (p: Point) => p.clearance.reduce((sum, c) => sum + (c < 0 ? c * c : 0), DAMPING * p.change);
  let damping = 1e-2;
  let trust = 1;
  for (let iteration = 0; iteration < steps && !passes(point); iteration++) {
    if (!spend(effort, n, 0)) break;
    const slope = slopes(problem, point);
    const missed = slope.flatMap((row, j) =>
      (point.clearance[j] as number) < 0 ? [{ row, c: point.clearance[j] as number }] : [],
    );
    const quadratic = Array.from({ length: n }, (_, a) =>
      Array.from({ length: n }, (_, b) => {
        let sum = a === b ? 2 * (DAMPING + damping) : 0;
        for (const { row } of missed) sum += 2 * (row[a] as number) * (row[b] as number);
        return sum;
      }),
    );
    const linear = Array.from({ length: n }, (_, a) => {
      let sum = 2 * DAMPING * (point.y[a] as number);
      for (const { row, c } of missed) sum += 2 * c * (row[a] as number);
      return sum;
    });
    const step = solveQuadraticProgram({ quadratic, linear, ...stepLimits(problem, point.y, trust, 0) });
    if (!step) break;
    const next = look(problem, plus(point.y, step));
    if (cost(next) < cost(point)) {
      const size = Math.max(...step.map(Math.abs));
      point = next;
      damping = Math.max(damping / 4, 1e-8);
      trust = Math.min(trust * 1.5, 2);
      if (size < 1e-6) break;
    } else {
      damping *= 8;
      trust *= 0.4;
      if (trust < 1e-5) break;
    }
  }
  return point;
}

/** A step of the sequential program: where it leads and how much of each gate it leaves unmet. */
interface Plan {
  readonly step: readonly number[];
  readonly slackLeft: number;
}

/**
 * The quadratic program of one step: least change with the gates in first order, each edge with a slack that costs `penalty` (and a little more
 * when it is large, which keeps the matrix positive definite).
 */
function planStep(
  problem: BalanceProblem,
  y: readonly number[],
  model: { slope: readonly number[][]; clearance: readonly number[] },
  weights: { penalty: number; trust: number },
): Plan | undefined {
  const n = y.length;
  const m = problem.edges.length;
  const limits = stepLimits(problem, y, weights.trust, m);
  for (let j = 0; j < m; j++) {
    const slack = new Array<number>(m).fill(0);
    slack[j] = 1;
    limits.inequalities.push({
      row: [...(model.slope[j] as number[]), ...slack],
      least: -(model.clearance[j] as number),
    });
    limits.inequalities.push({ row: [...new Array<number>(n).fill(0), ...slack], least: 0 });
  }
  const solution = solveQuadraticProgram({
    quadratic: Array.from({ length: n + m }, (_, a) =>
      Array.from({ length: n + m }, (_, b) => (a !== b ? 0 : a < n ? 2 : 2e-3)),
    ),
    linear: [...y.map((value) => 2 * value), ...new Array<number>(m).fill(weights.penalty)],
    ...limits,
  });
  return (
    solution && {
      step: solution.slice(0, n),
      slackLeft: solution.slice(n).reduce((sum, slack) => sum + Math.max(slack, 0), 0),
    }
  );
}

/** Whether `a` is better than `b`: passes with less change, or misses by less. */
export function isBetter(a: Point, b: Point): boolean {
  if (passes(a) !== passes(b)) return passes(a);
  return passes(a) ? a.change < b.change - 1e-12 : a.miss < b.miss - 1e-12;
}

const dot = (a: readonly number[], b: readonly number[]) =>
  a.reduce((sum, value, i) => sum + value * (b[i] as number), 0);

/**
 * Sequential quadratic programming: least change through the gates, with one slack a gate edge, a trust region and a second-order
 * correction. Keeps the best point seen; never trusts a flag.
 *
 * @returns the passing point of least change among those seen, or the one of least miss
 */
export function leastChange(
  problem: BalanceProblem,
  start: Point,
  steps: number,
  effort: Effort = { left: Number.POSITIVE_INFINITY },
): Point {
  let point = start;
  let best = start;
  let penalty = FIRST_PENALTY;
  let trust = 0.8;
  const merit = (p: Point) => p.change + penalty * p.miss;
  const visit = (y: readonly number[]) => {
    const seen = look(problem, y);
    if (isBetter(seen, best)) best = seen;
    return seen;
  };
  const correct = (seen: Point, slope: readonly number[][], step: readonly number[]): Point => {
    const clearance = seen.clearance.map((c, j) => c - dot(slope[j] as number[], step));
    const correction = planStep(problem, point.y, { slope, clearance }, { penalty, trust });
    const corrected = correction && visit(plus(point.y, correction.step));
    return corrected && merit(corrected) < merit(seen) ? corrected : seen;
  };

  const isLeft = () => spend(effort, start.y.length, problem.edges.length);
  for (let iteration = 0; iteration < steps && isLeft(); iteration++) {
    const slope = slopes(problem, point);
    const plan = planStep(problem, point.y, { slope, clearance: point.clearance }, { penalty, trust });
    if (!plan) break;
    const planned = plus(point.y, plan.step);
    const predicted = merit(point) - (dot(planned, planned) + penalty * plan.slackLeft);
    if (predicted < 1e-9) {
      if (passes(point) || penalty >= LAST_PENALTY) break;
      penalty = Math.min(penalty * 10, LAST_PENALTY);
      continue;
    }
    let next = visit(planned);
    if (merit(point) - merit(next) < 0.1 * predicted) next = correct(next, slope, plan.step);
    const gain = merit(point) - merit(next);
    if (gain <= 1e-4 * predicted) {
      trust *= 0.35;
      if (trust < 1e-6) break;
      continue;
    }
    const size = Math.max(...next.y.map((value, k) => Math.abs(value - (point.y[k] as number))));
    point = next;
    if (gain > 0.7 * predicted) trust = Math.min(trust * 2, 1.5);
    else if (gain < 0.25 * predicted) trust /= 2;
    if (plan.slackLeft > TOUCHING) penalty = Math.min(penalty * 10, LAST_PENALTY);
    if (size < 1e-6) break;
  }
  return best;
}

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
    if (attempt % 2 === 0) return (lower[k] as number) + random() * ((upper[k] as number) - (lower[k] as number));
    const wanted = grams > 0 ? grams * Math.exp(1.4 * random() - 0.7) : 0.08 * batchG * random();
    return (wanted - grams) / (scale[k] as number);
  });
}
