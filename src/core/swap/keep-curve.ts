import { balance } from '../balance/balance';
import { isPinch } from '../balance/problem';
import type { Formula, FormulaLine } from '../formula/formula';
import type { Gate } from '../formula/gates';
import { partOf } from '../matter/component-vector';
import { SWEET_NAMES } from '../matter/components';
import { type Prediction, predictFormula } from '../predict/predict-formula';
import { quantityOf } from '../predict/quantities';

/** How far the resistance may move at a moment, ln, the closest first: as it was, a tenth, a quarter, a half. */
const AS_IT_WAS = [0.02, 0.05] as const;
const CLOSENESS = [0.1, 0.25, 0.5] as const;
/** How far sweetness and cocoa may move, as a share: it is to be no new recipe. */
const SAME_TASTE = 0.2;
/** Least and most of a row that names no limits, beside what it is. */
const LEAST_OF_ROW = 0.4;
const MOST_OF_ROW = 2;
/** From this share of sugars on a row is there to sweeten: it may go altogether where the rest brings its own. */
const SWEETENER = 0.6;

/** What keeping a curve came to. */
export interface KeptCurve {
  /** the formula balanced; its own moments and gates */
  readonly formula: Formula;
  readonly after: Prediction;
  /** ln within which the resistance stays at every moment; nothing when the curve cannot be kept */
  readonly within: number | undefined;
}

/**
 * What is wished for, the dearest first: all as it was; then at every closeness sweetness, cocoa and gates, then without cocoa, then sweetness alone; last the
 * curve. No gate is given up to come closer than a tenth.
 */
const WISHES = [
  ...AS_IT_WAS.flatMap((closeness) => [
    { closeness, taste: ['sweetness', 'cocoaPercent'], gates: true } as const,
    { closeness, taste: ['sweetness'], gates: true } as const,
  ]),
  ...CLOSENESS.flatMap((closeness) => [
    { closeness, taste: ['sweetness', 'cocoaPercent'], gates: true } as const,
    { closeness, taste: ['sweetness'], gates: true } as const,
    { closeness, taste: ['sweetness'], gates: false } as const,
  ]),
  ...CLOSENESS.map((closeness) => ({ closeness, taste: [], gates: false }) as const),
];
type Wish = (typeof WISHES)[number];

/** A batch as it was, as gates: the resistance at every moment, and the taste. */
function gatesAround(before: Prediction, own: readonly Gate[], { closeness, taste, gates }: Wish): Gate[] {
  const [first] = before.moments;
  if (!first) return [];
  const sameTaste = (quantity: 'sweetness' | 'cocoaPercent'): Gate[] => {
    const value = quantityOf({ mixture: before.batch.mixture, state: first.state, costPerKg: 0 }, quantity);
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
    ...taste.flatMap(sameTaste),
    ...(gates ? own : []),
  ];
}

/** Whether a row is there to sweeten: a sugar, a syrup, a polyol. */
function isSweetener({ perGram }: FormulaLine): boolean {
  return SWEET_NAMES.reduce((sum, name) => sum + partOf(perGram, name), 0) >= SWEETENER;
}

/** A row with the reach it has while the curve is kept. */
function withReach(line: FormulaLine): FormulaLine {
  return {
    ...line,
    minGrams: line.minGrams ?? (isSweetener(line) ? 0 : LEAST_OF_ROW * line.grams),
    maxGrams: line.maxGrams ?? MOST_OF_ROW * line.grams,
  };
}

/**
 * Balances a formula so that the curve stays what another batch had, as closely as can be, and sweetness, cocoa and the gates that were passed hold too
 * where that is possible. Sugars may go for it; all other rows stay between two fifths and twice of what they are.
 *
 * @param before the batch whose curve is kept, with the formula's moments
 * @param formula what is in the pan now; locked lines stay
 * @param free places of lines that may take any grams within their limits
 */
export function keepCurve(before: Prediction, formula: Formula, free: ReadonlySet<number> = new Set()): KeptCurve {
  const passed = before.gates.filter(({ lands }) => lands);
  const own = formula.gates.filter((gate) =>
    passed.some((each) => each.moment === gate.moment && each.quantity === gate.quantity),
  );
  const batchG = formula.lines.reduce((sum, { grams }) => sum + grams, 0);
  const lines = formula.lines.map((line, i) => (free.has(i) || isPinch(line, batchG) ? line : withReach(line)));
  let balanced: Formula = formula;
  let within: number | undefined;
  for (const wish of WISHES) {
    const result = balance({ ...formula, lines, gates: gatesAround(before, own, wish) }, { explain: false });
    if (wish.taste.length > 0) balanced = result.formula;
    if (result.status === 'lands') {
      balanced = result.formula;
      within = wish.closeness;
      break;
    }
  }
  const kept: Formula = {
    ...formula,
    lines: formula.lines.map((line, i) => ({ ...line, grams: balanced.lines[i]?.grams ?? line.grams })),
  };
  return { formula: kept, after: predictFormula(kept) as Prediction, within };
}
