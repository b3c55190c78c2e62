import { type Formula, type Prediction, predictFormula } from '../predict/formula';
import { exchangeSteps } from './exchange';
import { type Fillable, roundToFillings } from './household';
import { type Obstacle, obstacles } from './obstacles';
import { balanceProblem, CHANGE_SHARE_OF_BATCH, reachOf } from './problem';
import { roundToScale } from './rounding';
import { type Found, type Point, passes, search } from './search';

/** Weighted ln units by which gates are moved inward, tried in turn until the rounded result lands. */
const INWARD = [0.02, 0.05, 0.1];
const STARTS = 8;

/** How to balance. */
export interface BalanceOptions {
  /** cups and spoons to round to, instead of the scale */
  readonly fillable?: Fillable | undefined;
  /** lets the batch grow or shrink */
  readonly freeTotal?: boolean | undefined;
  /** false leaves out what stands in the way, which takes as long as several balances */
  readonly explain?: boolean | undefined;
  /** places to start the search from, 1 or more; fewer are faster and may miss a landing; 8 when left out */
  readonly starts?: number | undefined;
}

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
    from.reduce((sum, g0, i) => sum + (((to[i] as number) - g0) / (g0 + CHANGE_SHARE_OF_BATCH * batchG)) ** 2, 0),
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
const COARSE: readonly RoundingWay[] = [{ tenthsToSmall: true }, {}];
const FINE: readonly RoundingWay[] = [{ step: 0.1 }];

/** Tied lines are weighed to a tenth, so that their proportion stays. */
const waysOf = (formula: Formula, ways: readonly RoundingWay[]) =>
  formula.lines.some(({ tie }) => tie !== undefined) ? FINE : ways;

/** Rounds a point in each of the ways; a landing is then repaired and trimmed, a nearest left shared between the gates. */
function roundings(formula: Formula, point: Point, ways: readonly RoundingWay[], freeTotal: boolean): number[][] {
  const problem = balanceProblem(formula, { inward: 0, freeTotal });
  const { free, scale } = problem;
  const all = formula.lines.map((line) => line.grams);
  const batchG = all.reduce((sum, grams) => sum + grams, 0);
  const lines = free.map((index, k) => {
    const from = all[index] as number;
    const to = Math.max(from + (point.y[k] as number) * (scale[k] as number), 0);
    return { from, to, ...reachOf(formula.lines[index] as Formula['lines'][number], batchG) };
  });
  const totalG = freeTotal
    ? Math.round(lines.reduce((sum, { to }) => sum + to, 0))
    : free.reduce((sum, index) => sum + (all[index] as number), 0);
  return waysOf(formula, ways).flatMap((way) => {
    const rounded = roundToScale(lines, totalG, way);
    if (!rounded) return [];
    const exchanged = passes(point) ? exchangeSteps(problem, rounded, way.step) : rounded;
    const grams = [...all];
    free.forEach((index, k) => {
      grams[index] = exchanged[k] as number;
    });
    return [grams];
  });
}

function resultOf(formula: Formula, grams: readonly number[], inTheWay: readonly Obstacle[]): BalanceResult {
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
function firstLanding(formula: Formula, candidates: readonly number[][]): BalanceResult | undefined {
  for (const grams of candidates) {
    const result = resultOf(formula, grams, []);
    if (result.status === 'lands') return result;
  }
  return undefined;
}

/** Searches with gates moved further inward each time until a rounded result lands. */
function landing(formula: Formula, freeTotal: boolean, starts: number): { result?: BalanceResult; found: Found } {
  let found: Found = { landing: undefined, nearest: undefined };
  for (const inward of INWARD) {
    const problem = balanceProblem(formula, { inward, freeTotal });
    const next = search(problem, starts);
    if (!next.landing) return { found: next.nearest ? next : found };
    found = next;
    const result = firstLanding(formula, roundings(formula, next.landing, COARSE, freeTotal));
    if (result) return { result, found };
  }
  const result = found.landing && firstLanding(formula, roundings(formula, found.landing, FINE, freeTotal));
  return result ? { result, found } : { found };
}

/**
 * Brings a formula through its gates with the least change of its free lines, total kept.
 *
 * A formula that lands already is left alone. The result is rounded to what the scale shows and still lands. When nothing lands, the
 * nearest is given, and what stands in the way is named.
 *
 * @param formula mass above 0; locked lines stay, tied lines keep their proportion
 * @param options household measures to round to (the total then moves), and whether to explain
 * @returns the same answer for the same request
 * @throws {RangeError} the pan is empty, or a gate names a moment that is not there
 * @see Goldfarb & Idnani 1983 (the quadratic program inside); sequential quadratic programming as in Nocedal & Wright 2006
 * @example balance(formula).grams
 */
export function balance(formula: Formula, options: BalanceOptions = {}): BalanceResult {
  const result = balanceOnScale(formula, options);
  if (!options.fillable || result.change === 0) return result;
  const grams = roundToFillings(formula, result.grams, options.fillable);
  return resultOf(formula, grams, result.inTheWay);
}

/** {@link balance} in grams, rounded to what the scale shows. */
function balanceOnScale(
  formula: Formula,
  { explain = true, freeTotal = false, starts = STARTS }: BalanceOptions,
): BalanceResult {
  const asItIs = resultOf(
    formula,
    formula.lines.map((line) => line.grams),
    [],
  );
  if (asItIs.status === 'lands') return asItIs;

  const { result, found } = landing(formula, freeTotal, starts);
  if (result) return result;

  const point = found.landing ?? found.nearest;
  const grams = (point && roundings(formula, point, [...COARSE, ...FINE], freeTotal)[0]) ?? asItIs.grams;
  const inTheWay = explain ? obstacles(formula, withGrams(formula, grams)) : [];
  return resultOf(formula, grams, inTheWay);
}
