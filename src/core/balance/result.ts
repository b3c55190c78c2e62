import type { Formula } from '../formula/formula';
import { nth } from '../nth';
import { type Prediction, predictFormula } from '../predict/predict-formula';
import { exchangeSteps } from './exchange';
import type { Obstacle } from './obstacles';
import { balanceProblem, CHANGE_SHARE_OF_BATCH, reachOf } from './problem';
import { roundLines } from './rounding';
import { type Point, passes } from './sequential-program';

/** What a balance came to. */
export interface BalanceResult {
  /** `lands`: every gate passes with the grams given; `nearest`: it cannot, these come closest */
  readonly status: 'lands' | 'nearest';
  /** g of every line, in the formula's order, rounded to what the scale shows */
  readonly grams: readonly number[];
  /** the formula with those grams */
  readonly formula: Formula;
  readonly prediction: Prediction;
  /** sqrt of the sum of ((g - g0) / (g0 + 0.02 batch))² */
  readonly change: number;
  /** what stands in the way, empty when it lands */
  readonly inTheWay: readonly Obstacle[];
}

/** Size of a change: how far from the first grams, each line by its own size. */
export function sizeOfChange(from: readonly number[], to: readonly number[]): number {
  const batchG = from.reduce((sum, grams) => sum + grams, 0);
  return Math.sqrt(
    from.reduce((sum, g0, i) => sum + ((nth(to, i) - g0) / (g0 + CHANGE_SHARE_OF_BATCH * batchG)) ** 2, 0),
  );
}

/** The same formula with other grams. */
export function withGrams(formula: Formula, grams: readonly number[]): Formula {
  return { ...formula, lines: formula.lines.map((line, i) => ({ ...line, grams: grams[i] ?? line.grams })) };
}

/** Whether every free line stands within the least and most it names. */
function withinBounds(formula: Formula): boolean {
  return formula.lines.every(
    ({ locked, grams, minGrams, maxGrams }) =>
      locked || (grams >= (minGrams ?? 0) && grams <= (maxGrams ?? Number.POSITIVE_INFINITY)),
  );
}

/** Ways of rounding, the coarsest first: tenths on the small lines, tenths on the largest, tenths on all. */
type RoundingWay = { readonly tenthsToSmall?: boolean; readonly step?: number };
export const COARSE: readonly RoundingWay[] = [{ tenthsToSmall: true }, {}];
export const FINE: readonly RoundingWay[] = [{ step: 0.1 }];

/** Tied lines are weighed to a tenth, so that their proportion stays. */
const waysOf = (formula: Formula, ways: readonly RoundingWay[]) =>
  formula.lines.some(({ tie }) => tie !== undefined) ? FINE : ways;

/** Rounds a point in each of the ways; a landing is then repaired and trimmed, a nearest left shared between the gates. */
export function roundings(
  formula: Formula,
  point: Point,
  ways: readonly RoundingWay[],
  { freeTotal, trim }: { readonly freeTotal: boolean; readonly trim: boolean },
): number[][] {
  const problem = balanceProblem(formula, { inward: 0, freeTotal });
  const { free, scale } = problem;
  const all = formula.lines.map((line) => line.grams);
  const batchG = all.reduce((sum, grams) => sum + grams, 0);
  const lines = free.map((index, k) => {
    const from = nth(all, index);
    const to = Math.max(from + nth(point.y, k) * nth(scale, k), 0);
    return { from, to, ...reachOf(nth(formula.lines, index), batchG) };
  });
  const totalG = freeTotal
    ? Math.round(lines.reduce((sum, { to }) => sum + to, 0))
    : free.reduce((sum, index) => sum + nth(all, index), 0);
  return waysOf(formula, ways).flatMap((way) => {
    const rounded = roundLines(lines, totalG, way);
    if (!rounded) return [];
    const exchanged = trim && passes(point) ? exchangeSteps(problem, rounded, way.step) : rounded;
    const grams = [...all];
    free.forEach((index, k) => {
      grams[index] = nth(exchanged, k);
    });
    return [grams];
  });
}

/** A formula with other grams, judged: whether it lands within its limits. */
export function resultOf(formula: Formula, grams: readonly number[], inTheWay: readonly Obstacle[]): BalanceResult {
  const next = withGrams(formula, grams);
  const prediction = predictFormula(next);
  if (!prediction) throw new RangeError('nothing is in the pan');
  return {
    status: prediction.lands && withinBounds(next) ? 'lands' : 'nearest',
    grams,
    formula: next,
    prediction,
    change: sizeOfChange(
      formula.lines.map((line) => line.grams),
      grams,
    ),
    inTheWay,
  };
}

/** The first of several roundings that lands. */
export function firstLanding(formula: Formula, candidates: readonly number[][]): BalanceResult | undefined {
  for (const grams of candidates) {
    const result = resultOf(formula, grams, []);
    if (result.status === 'lands') return result;
  }
  return undefined;
}

/** A point that passes, rounded to what the scale shows where it stands; nothing when no rounding lands. */
export function roundedAt(formula: Formula, point: Point, freeTotal: boolean): BalanceResult | undefined {
  return firstLanding(formula, roundings(formula, point, [...COARSE, ...FINE], { freeTotal, trim: false }));
}
