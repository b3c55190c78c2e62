import type { Formula } from '../formula/formula';
import { linearChance } from '../predict/linear-chance';
import { balanceProblem } from './problem';
import { type BalanceResult, roundedAt } from './result';
import { leastChange, leastSquares, type Point, passes } from './sequential-program';

/**
 * The trade: how much change (the sum of squared relative changes) an e-fold of chance to land is worth: ten parts in a
 * hundred more chance are worth one row moved by a fifth of itself, a doubling one moved by three fifths (J).
 */
export const CHANGE_FOR_CHANCE = 0.5;

/** How far the gates are moved inward in turn, in standard deviations of what is not known. */
const MARGINS = [0.15, 0.3, 0.45, 0.6, 0.8, 1, 1.3];
/** Most of a band that is moved inward from either edge. */
const MOST_OF_BAND = 0.45;
/** Chances are counted in points: less than this is none. */
const LEAST_CHANCE = 0.002;
/** Gains in the trade that are worth moving for. */
const WORTH_MOVING = 0.004;
const STEPS = 40;
/** Margins that bring nothing, one after the other, before no more are tried. */
const PATIENCE = 2;

/** What a landing costs in the trade: change, less what its chance is worth. */
function costOf({ change }: BalanceResult, chance: number): number {
  return change ** 2 - CHANGE_FOR_CHANCE * Math.log(Math.max(chance, LEAST_CHANCE));
}

/**
 * Moves a landing on from the edge of its gates while a gram buys chance cheaply: the gates are moved inward step by step, each time by the same
 * part of what is not known about their values, and of all landings the one of the best trade is kept.
 *
 * @param formula what was asked; changes are counted from its grams
 * @param landed a landing of it, or the formula itself where it lands as it is
 * @returns it, or a landing further inside
 */
export function withMargin(formula: Formula, landed: BalanceResult, freeTotal: boolean): BalanceResult {
  const first = linearChance(landed.formula, landed.prediction);
  let best = { result: landed, cost: costOf(landed, first.chance) };
  let from: readonly number[] | undefined;
  let idle = 0;
  for (const margin of MARGINS) {
    const inward = formula.gates.map(({ weight = 1 }, g) => weight * margin * (first.gates[g]?.sd ?? 0));
    const problem = balanceProblem(formula, { inward, mostOfBand: MOST_OF_BAND, freeTotal });
    const start =
      from ??
      problem.free.map((line, k) => {
        const gone = (landed.grams[line] ?? 0) - (formula.lines[line]?.grams ?? 0);
        return gone / (problem.scale[k] ?? 1);
      });
    const point: Point = leastChange(problem, leastSquares(problem, start, STEPS), STEPS);
    if (!passes(point)) break;
    from = point.y;
    const result = roundedAt(formula, point, freeTotal);
    if (result?.status !== 'lands') continue;
    const cost = costOf(result, linearChance(result.formula, result.prediction).chance);
    if (cost < best.cost - WORTH_MOVING) best = { result, cost };
    else idle += 1;
    if (idle >= PATIENCE) break;
  }
  return best.result;
}
