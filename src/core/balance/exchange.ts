import type { BalanceProblem } from './problem';
import { scaleStep } from './rounding';
import { look, type Point, passes } from './search';

/** Rounds of exchange at most, each over every pair of free lines: to land again, and then to trim the change. */
const REPAIR_ROUNDS = 12;
const TRIM_ROUNDS = 3;

/** Whether `a` is better than `b`: misses less, or passes with less change. */
function better(a: Point, b: Point): boolean {
  if (passes(a) !== passes(b)) return passes(a);
  return passes(a) ? a.change < b.change - 1e-12 : a.miss < b.miss - 1e-12;
}

/**
 * Repairs and trims rounded grams: moves one step of the scale from one free line to another as long as that misses less, or changes less.
 *
 * @param problem with the gates where they are (moved inward by 0)
 * @param rounded g of the free lines
 * @param step forces one step for all lines
 * @returns g of the free lines, the same total
 */
export function exchangeSteps(problem: BalanceProblem, rounded: readonly number[], step?: number): number[] {
  const { free, scale, lower, upper, formula } = problem;
  const from = free.map((index) => formula.lines[index]?.grams ?? 0);
  const toY = (grams: readonly number[]) => grams.map((g, k) => (g - (from[k] as number)) / (scale[k] as number));
  let grams = [...rounded];
  let best = look(problem, toY(grams));
  let trims = 0;
  for (let round = 0; round < REPAIR_ROUNDS && trims < TRIM_ROUNDS; round++) {
    if (passes(best)) trims++;
    let next: { grams: number[]; point: Point } | undefined;
    for (let up = 0; up < grams.length; up++) {
      for (let down = 0; down < grams.length; down++) {
        if (up === down) continue;
        const amount = step ?? Math.max(scaleStep(grams[up] as number), scaleStep(grams[down] as number));
        const moved = [...grams];
        moved[up] = Math.round(((grams[up] as number) + amount) * 1e6) / 1e6;
        moved[down] = Math.round(((grams[down] as number) - amount) * 1e6) / 1e6;
        const y = toY(moved);
        if ((y[up] as number) > (upper[up] as number) || (y[down] as number) < (lower[down] as number)) continue;
        let change = 0;
        for (const value of y) change += value * value;
        const rival = next?.point ?? best;
        if (passes(rival) && change >= rival.change) continue;
        const point = look(problem, y);
        if (better(point, rival)) next = { grams: moved, point };
      }
    }
    if (!next) break;
    grams = next.grams;
    best = next.point;
  }
  return grams;
}
