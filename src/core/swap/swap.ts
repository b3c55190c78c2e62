import type { Formula, FormulaLine } from '../formula/formula';
import { type Prediction, predictFormula } from '../predict/predict-formula';
import { type KeptCurve, keepCurve } from './keep-curve';

/** What takes the place of a line: another ingredient, with the grams, lock and limits of the line. */
export type Substitute = Pick<FormulaLine, 'ingredient' | 'perGram' | 'pricePerKg' | 'kind'>;

/** What a swap came to. */
export interface Swap extends KeptCurve {
  readonly before: Prediction;
}

/**
 * Replaces ingredients by others and balances again so that the curve stays as it was ({@link keepCurve}). Locked lines other than those replaced
 * stay; replaced ones are free within their limits. When the curve cannot be kept, the nearest is given.
 *
 * @param formula mass above 0, at least one moment to keep the curve at
 * @param substitutes by place of the line
 * @throws {RangeError} the pan is empty
 */
export function swap(formula: Formula, substitutes: ReadonlyMap<number, Substitute>): Swap {
  const before = predictFormula(formula);
  if (!before) throw new RangeError('nothing is in the pan');
  const lines = formula.lines.map((line, i): FormulaLine => {
    const substitute = substitutes.get(i);
    return substitute ? { ...line, ...substitute, locked: false, tie: undefined } : line;
  });
  const kept = keepCurve(before, { ...formula, lines }, new Set(substitutes.keys()));
  const asLocked = kept.formula.lines.map((line, i) => ({
    ...line,
    locked: formula.lines[i]?.locked ?? false,
    tie: formula.lines[i]?.tie,
  }));
  return { ...kept, before, formula: { ...kept.formula, lines: asLocked } };
}
