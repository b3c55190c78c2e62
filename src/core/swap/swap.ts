import { type BalanceResult, balance } from '../balance/balance';
import type { Gate } from '../balance/gates';
import { type Formula, type FormulaLine, type Prediction, predictFormula } from '../predict/formula';

/** What takes the place of a line: another ingredient, with the grams, lock and limits of the line. */
export type Substitute = Pick<FormulaLine, 'ingredient' | 'perGram' | 'priceEurPerKg' | 'kind'>;

/** How far the resistance may move at a moment and still count as the same curve: ten per cent, ln. */
const SAME_CURVE = 0.1;

/** What a swap came to. */
export interface Swap {
  /** the formula with the substitutes, balanced; its own moments and gates */
  readonly formula: Formula;
  readonly before: Prediction;
  readonly after: Prediction;
  /** the resistance stays within ten per cent at every moment */
  readonly keepsCurve: boolean;
}

/** The curve as gates: the resistance at every moment as it was. */
function curveGates(before: Prediction): Gate[] {
  return before.moments.map(({ moment, state }) => ({
    moment: moment.name,
    quantity: 'resistancePa',
    low: state.flow.resistancePa * Math.exp(-SAME_CURVE),
    high: state.flow.resistancePa * Math.exp(SAME_CURVE),
  }));
}

/**
 * Replaces ingredients by others and balances again so that the curve stays as it was. Locked lines other than those replaced stay;
 * replaced ones are free within their limits. When the curve cannot be kept, the nearest is given.
 *
 * @param formula mass above 0, at least one moment to keep the curve at
 * @param substitutes by place of the line
 * @throws {RangeError} the pan is empty
 */
export function swap(formula: Formula, substitutes: ReadonlyMap<number, Substitute>): Swap {
  const before = predictFormula(formula);
  if (!before) throw new RangeError('nothing is in the pan');
  const swapped: Formula = {
    ...formula,
    gates: curveGates(before),
    lines: formula.lines.map((line, i) => {
      const substitute = substitutes.get(i);
      return substitute ? { ...line, ...substitute, locked: false, tie: undefined } : line;
    }),
  };
  const { formula: balanced, status }: BalanceResult = balance(swapped, { explain: false });
  const result: Formula = {
    ...balanced,
    gates: formula.gates,
    lines: balanced.lines.map((line, i) => ({
      ...line,
      locked: formula.lines[i]?.locked ?? false,
      tie: formula.lines[i]?.tie,
    })),
  };
  return {
    formula: result,
    before,
    after: predictFormula(result) as Prediction,
    keepsCurve: status === 'lands',
  };
}
