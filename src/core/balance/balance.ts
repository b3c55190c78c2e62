import type { Formula } from '../formula/formula';
import { EFFORT_TO_LAND } from './effort';
import { type Fillable, roundToFillings } from './household';
import { withMargin } from './margin';
import { obstacles } from './obstacles';
import { balanceProblem } from './problem';
import { type BalanceResult, COARSE, FINE, firstLanding, resultOf, roundings, withGrams } from './result';
import { type Found, search } from './search';

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
  /** moves on from the edge of the gates while a gram buys chance to land cheaply ({@link CHANGE_FOR_CHANCE}) */
  readonly margin?: boolean | undefined;
  /** places to start the search from, 1 or more; fewer are faster and may miss a landing; 8 when left out */
  readonly starts?: number | undefined;
}

/** Searches with gates moved further inward each time until a rounded result lands. */
function landing(formula: Formula, freeTotal: boolean, starts: number): { result?: BalanceResult; found: Found } {
  const effort = { left: EFFORT_TO_LAND };
  let found: Found = { landing: undefined, nearest: undefined };
  for (const inward of INWARD) {
    const problem = balanceProblem(formula, { inward, freeTotal });
    const next = search(problem, starts, effort);
    if (!next.landing) return { found: next.nearest ? next : found };
    found = next;
    const result = firstLanding(formula, roundings(formula, next.landing, COARSE, { freeTotal, trim: true }));
    if (result) return { result, found };
  }
  const result =
    found.landing && firstLanding(formula, roundings(formula, found.landing, FINE, { freeTotal, trim: true }));
  return result ? { result, found } : { found };
}

/**
 * Brings a formula through its gates with the least change of its free lines, total kept.
 *
 * A formula that lands already is left alone, unless a margin is wanted. The result is rounded to what the scale shows and still lands. When nothing lands, the
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
  const landed = balanceOnScale(formula, options);
  const result =
    options.margin && landed.status === 'lands' && formula.gates.length > 0
      ? withMargin(formula, landed, options.freeTotal ?? false)
      : landed;
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
  const grams =
    (point && roundings(formula, point, [...COARSE, ...FINE], { freeTotal, trim: true })[0]) ?? asItIs.grams;
  const inTheWay = explain ? obstacles(formula, withGrams(formula, grams)) : [];
  return resultOf(formula, grams, inTheWay);
}
