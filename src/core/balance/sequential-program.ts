import { nth } from '../nth';
import { solveQuadraticProgram } from '../quadratic-program';
import { type Effort, spend } from './effort';
import { type BalanceProblem, clearances } from './problem';

/** Step of the forward differences, in scaled changes. */
const DIFFERENCE = 1e-4;
/** Weight of the change itself while violations are being removed. */
export const DAMPING = 1e-3;
const FIRST_PENALTY = 100;
export const LAST_PENALTY = 3000;
/** Weighted ln units that count as landed. */
export const TOUCHING = 1e-7;

/** A point the search has seen. */
export interface Point {
  readonly y: readonly number[];
  /** sum of y² */
  readonly change: number;
  /** how far inside each edge it is, below 0 where the edge is missed; weighted ln units */
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
export function slopes(problem: BalanceProblem, point: Point): number[][] {
  const columns = point.y.map((value, k) => {
    const h = value + DIFFERENCE > nth(problem.upper, k) ? -DIFFERENCE : DIFFERENCE;
    const moved = [...point.y];
    moved[k] = value + h;
    const c = clearances(problem, problem.readings(moved));
    return c.map((moving, j) => (moving - nth(point.clearance, j)) / h);
  });
  return point.clearance.map((_, j) => columns.map((column) => nth(column, j)));
}

/** The equalities and the bounds, with a trust region, on a step from y; `extra` unbounded variables follow. */
export function stepLimits(problem: BalanceProblem, y: readonly number[], trust: number, extra: number) {
  const n = y.length;
  const unit = (k: number, sign: number) => {
    const row = new Array<number>(n + extra).fill(0);
    row[k] = sign;
    return row;
  };
  const inequalities: { row: number[]; least: number }[] = [];
  for (let k = 0; k < n; k++) {
    const value = nth(y, k);
    inequalities.push({ row: unit(k, 1), least: Math.max(nth(problem.lower, k) - value, -trust) });
    inequalities.push({ row: unit(k, -1), least: Math.max(value - nth(problem.upper, k), -trust) });
  }
  const none = new Array<number>(extra).fill(0);
  const equalities = problem.equalities.map(({ row, equals }) => ({
    row: [...row, ...none],
    equals: equals - row.reduce((sum, factor, k) => sum + factor * (y[k] ?? 0), 0),
  }));
  return { equalities, inequalities };
}

export const plus = (y: readonly number[], step: readonly number[]) => y.map((value, k) => value + (step[k] ?? 0));

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
      nth(point.clearance, j) < 0 ? [{ row, c: nth(point.clearance, j) }] : [],
    );
    const quadratic = Array.from({ length: n }, (_, a) =>
      Array.from({ length: n }, (_, b) => {
        let sum = a === b ? 2 * (DAMPING + damping) : 0;
        for (const { row } of missed) sum += 2 * (row[a] ?? 0) * (row[b] ?? 0);
        return sum;
      }),
    );
    const linear = Array.from({ length: n }, (_, a) => {
      let sum = 2 * DAMPING * nth(point.y, a);
      for (const { row, c } of missed) sum += 2 * c * nth(row, a);
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
export function planStep(
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
      row: [...nth(model.slope, j), ...slack],
      least: -nth(model.clearance, j),
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

export const dot = (a: readonly number[], b: readonly number[]) =>
  a.reduce((sum, value, i) => sum + value * (b[i] ?? 0), 0);

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
    const clearance = seen.clearance.map((c, j) => c - dot(nth(slope, j), step));
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
    const size = Math.max(...next.y.map((value, k) => Math.abs(value - nth(point.y, k))));
    point = next;
    if (gain > 0.7 * predicted) trust = Math.min(trust * 2, 1.5);
    else if (gain < 0.25 * predicted) trust /= 2;
    if (plan.slackLeft > TOUCHING) penalty = Math.min(penalty * 10, LAST_PENALTY);
    if (size < 1e-6) break;
  }
  return best;
}
