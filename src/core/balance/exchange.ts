import { nth } from '../nth';
import type { BalanceProblem } from './problem';
import { scaleStep } from './rounding';
import { isBetter, look, type Point, passes } from './sequential-program';

/** Rounds of exchange at most, each over every pair of free lines: to land again, and then to trim the change. */
const REPAIR_ROUNDS = 12;
const TRIM_ROUNDS = 3;

/** A total-keeping move between two free lines, g, with its size of change already known. */
interface Exchange {
  readonly grams: readonly number[];
  readonly y: readonly number[];
  readonly change: number;
}

const tidy = (grams: number) => Math.round(grams * 1e6) / 1e6;

/** Every move of one step of the scale from one free line to another that the bounds allow; tied lines keep their proportion. */
function* exchanges(problem: BalanceProblem, grams: readonly number[], step: number | undefined): Generator<Exchange> {
  const { free, scale, lower, upper, formula } = problem;
  const from = free.map((index) => formula.lines[index]?.grams ?? 0);
  const tied = free.map((index) => formula.lines[index]?.tie !== undefined);
  for (let up = 0; up < grams.length; up++) {
    for (let down = 0; down < grams.length; down++) {
      if (up === down || tied[up] || tied[down]) continue;
      const amount = step ?? Math.max(scaleStep(nth(grams, up)), scaleStep(nth(grams, down)));
      const moved = grams.map((g, k) => (k === up ? tidy(g + amount) : k === down ? tidy(g - amount) : g));
      const y = moved.map((g, k) => (g - nth(from, k)) / nth(scale, k));
      if (nth(y, up) > nth(upper, up) || nth(y, down) < nth(lower, down)) continue;
      yield { grams: moved, y, change: y.reduce((sum, value) => sum + value * value, 0) };
    }
  }
}

/**
 * Repairs and trims rounded grams: moves one step of the scale from one free line to another as long as that misses less, or changes less.
 *
 * @param problem with the gates where they are (moved inward by 0)
 * @param rounded g of the free lines
 * @param step forces one step for all lines
 * @returns g of the free lines, the same total
 */
export function exchangeSteps(problem: BalanceProblem, rounded: readonly number[], step?: number): readonly number[] {
  const from = problem.free.map((index) => problem.formula.lines[index]?.grams ?? 0);
  let grams = rounded;
  let best = look(
    problem,
    rounded.map((g, k) => (g - nth(from, k)) / nth(problem.scale, k)),
  );
  let trims = 0;
  for (let round = 0; round < REPAIR_ROUNDS && trims < TRIM_ROUNDS; round++) {
    if (passes(best)) trims++;
    let found: { grams: readonly number[]; point: Point } | undefined;
    for (const candidate of exchanges(problem, grams, step)) {
      const rival = found?.point ?? best;
      if (passes(rival) && candidate.change >= rival.change) continue;
      const point = look(problem, candidate.y);
      if (isBetter(point, rival)) found = { grams: candidate.grams, point };
    }
    if (!found) break;
    grams = found.grams;
    best = found.point;
  }
  return grams;
}
