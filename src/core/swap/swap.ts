import { balance } from '../balance/balance';
import type { Gate } from '../balance/gates';
import { quantityOf } from '../balance/quantities';
import { type Formula, type FormulaLine, type Prediction, predictFormula } from '../predict/formula';

/** What takes the place of a line: another ingredient, with the grams, lock and limits of the line. */
export type Substitute = Pick<FormulaLine, 'ingredient' | 'perGram' | 'priceEurPerKg' | 'kind'>;

/** How far the resistance may move at a moment, ln, the closest first: a tenth, a quarter, a half. */
const CLOSENESS = [0.1, 0.25, 0.5] as const;
/** How far sweetness and cocoa may move, as a share: a swap is no new recipe. */
const SAME_TASTE = 0.2;
/** Least and most of a row that is not swapped and names no limits, beside what it is. */
const LEAST_OF_ROW = 0.4;
const MOST_OF_ROW = 2;

/** What a swap came to. */
export interface Swap {
  /** the formula with the substitutes, balanced; its own moments and gates */
  readonly formula: Formula;
  readonly before: Prediction;
  readonly after: Prediction;
  /** ln within which the resistance stays at every moment; nothing when the curve cannot be kept */
  readonly within: number | undefined;
}

/** What is wished for, the dearest first: at every closeness the taste too, or else the curve alone. */
const WISHES = CLOSENESS.flatMap((closeness) => [true, false].map((tasteToo) => ({ closeness, tasteToo })));
type Wish = (typeof WISHES)[number];

/** The formula as it was, as gates: the resistance at every moment, and the taste. */
function gatesAround(before: Prediction, { closeness, tasteToo }: Wish): Gate[] {
  const [first] = before.moments;
  if (!first) return [];
  const taste = (quantity: 'sweetness' | 'cocoaPercent'): Gate[] => {
    const value = quantityOf({ mixture: before.batch.mixture, state: first.state, costEurPerKg: 0 }, quantity);
    return value < 1
      ? []
      : [{ moment: first.moment.name, quantity, low: value * (1 - SAME_TASTE), high: value * (1 + SAME_TASTE) }];
  };
  return [
    ...before.moments.map(
      ({ moment, state }): Gate => ({
        moment: moment.name,
        quantity: 'resistancePa',
        low: state.flow.resistancePa * Math.exp(-closeness),
        high: state.flow.resistancePa * Math.exp(closeness),
      }),
    ),
    ...(tasteToo ? [...taste('sweetness'), ...taste('cocoaPercent')] : []),
  ];
}

/**
 * Replaces ingredients by others and balances again so that the curve stays as it was, as closely as can be, and sweetness and cocoa too where
 * that is possible. Locked
 * lines other than those replaced stay; replaced ones are free within their limits. When the curve cannot be kept, the nearest is given.
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
    if (substitute) return { ...line, ...substitute, locked: false, tie: undefined };
    return {
      ...line,
      minGrams: line.minGrams ?? LEAST_OF_ROW * line.grams,
      maxGrams: line.maxGrams ?? MOST_OF_ROW * line.grams,
    };
  });
  let balanced: Formula = formula;
  let within: number | undefined;
  for (const wish of WISHES) {
    const result = balance({ ...formula, lines, gates: gatesAround(before, wish) }, { explain: false });
    if (wish.tasteToo) balanced = result.formula;
    if (result.status === 'lands') {
      balanced = result.formula;
      within = wish.closeness;
      break;
    }
  }
  const result: Formula = {
    ...balanced,
    gates: formula.gates,
    lines: balanced.lines.map((line, i) => ({
      ...line,
      locked: formula.lines[i]?.locked ?? false,
      tie: formula.lines[i]?.tie,
      minGrams: formula.lines[i]?.minGrams,
      maxGrams: formula.lines[i]?.maxGrams,
    })),
  };
  return {
    formula: result,
    before,
    after: predictFormula(result) as Prediction,
    within,
  };
}
