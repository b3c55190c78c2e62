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
/** How far sweetness and cocoa may move, as a share: unnoticed, then so that it is no new recipe (J). */
const UNNOTICED = 0.08;
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
interface Wish {
  readonly closeness: number;
  /** share by which sweetness may move, and whether cocoa is held, too */
  readonly sweetness: number | undefined;
  readonly cocoa: boolean;
  readonly gates: boolean;
}
const WISHES: readonly Wish[] = [
  ...[...AS_IT_WAS, ...CLOSENESS.slice(0, 1)].flatMap((closeness): Wish[] => [
    { closeness, sweetness: UNNOTICED, cocoa: true, gates: true },
    { closeness, sweetness: UNNOTICED, cocoa: false, gates: true },
  ]),
  ...AS_IT_WAS.map((closeness): Wish => ({ closeness, sweetness: SAME_TASTE, cocoa: false, gates: true })),
  ...CLOSENESS.flatMap((closeness): Wish[] => [
    { closeness, sweetness: SAME_TASTE, cocoa: true, gates: true },
    { closeness, sweetness: SAME_TASTE, cocoa: false, gates: true },
    { closeness, sweetness: SAME_TASTE, cocoa: false, gates: false },
  ]),
  ...CLOSENESS.map((closeness): Wish => ({ closeness, sweetness: undefined, cocoa: false, gates: false })),
];

/** Above this a sauce flows, below it has set: what is asked of one moves the others of its kind, °C (J). */
const WARM_FROM_C = 28;
const isWarm = (temperatureC: number) => temperatureC >= WARM_FROM_C;
/** ln within which a flow that is asked for must be met: else nothing was done. */
const ASKED_WITHIN = 0.1;

/** A flow that is to be another at one of its moments; warm moments go together, and cold ones. */
export interface OtherFlow {
  readonly moment: string;
  /** times as thick as it was, above 0 */
  readonly times: number;
}

/** A batch as it was, as gates: the resistance at every moment, and the taste. */
function gatesAround(
  before: Prediction,
  own: readonly Gate[],
  { closeness, sweetness, cocoa, gates }: Wish,
  other: OtherFlow | undefined,
): Gate[] {
  const [first] = before.moments;
  if (!first) return [];
  const otherC = before.moments.find(({ moment }) => moment.name === other?.moment)?.moment.temperatureC;
  const sameTaste = (quantity: 'sweetness' | 'cocoaPercent', share: number): Gate[] => {
    const value = quantityOf({ mixture: before.batch.mixture, state: first.state, costPerKg: 0 }, quantity);
    return value < 1
      ? []
      : [{ moment: first.moment.name, quantity, low: value * (1 - share), high: value * (1 + share) }];
  };
  return [
    ...before.moments.flatMap(({ moment, state }): Gate[] => {
      const isOther = moment.name === other?.moment;
      if (otherC !== undefined && !isOther && isWarm(moment.temperatureC) === isWarm(otherC)) return [];
      const wanted = state.flow.resistancePa * (isOther ? other.times : 1);
      const within = isOther ? Math.min(closeness, ASKED_WITHIN) : closeness;
      return [
        {
          moment: moment.name,
          quantity: 'resistancePa',
          low: wanted * Math.exp(-within),
          high: wanted * Math.exp(within),
        },
      ];
    }),
    ...(sweetness === undefined ? [] : sameTaste('sweetness', sweetness)),
    ...(cocoa ? sameTaste('cocoaPercent', SAME_TASTE) : []),
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
 * @param other where the flow is to be another: what has set keeps its own when a warm moment is asked for, and the other way round
 */
export function keepCurve(
  before: Prediction,
  formula: Formula,
  free: ReadonlySet<number> = new Set(),
  other?: OtherFlow,
): KeptCurve {
  const passed = before.gates.filter(({ lands }) => lands);
  const own = formula.gates.filter((gate) =>
    passed.some((each) => each.moment === gate.moment && each.quantity === gate.quantity),
  );
  const batchG = formula.lines.reduce((sum, { grams }) => sum + grams, 0);
  const lines = formula.lines.map((line, i) => (free.has(i) || isPinch(line, batchG) ? line : withReach(line)));
  let balanced: Formula = formula;
  let within: number | undefined;
  for (const wish of WISHES) {
    const result = balance({ ...formula, lines, gates: gatesAround(before, own, wish, other) }, { explain: false });
    if (wish.sweetness !== undefined) balanced = result.formula;
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

/** Quantities that are a flow or a set. */
const FLOWS: ReadonlySet<Gate['quantity']> = new Set(['apparentViscosityPaS', 'yieldStressPa', 'resistancePa']);

/**
 * Makes a batch flow otherwise at one of its moments and keeps the rest: thinner at the pour and as firm when cold, or the other way round. More liquid
 * with more cocoa butter does it where the pan has both.
 *
 * @param formula mass above 0; locked lines stay
 * @param other the moment, and how many times as thick it is to be there
 * @throws {RangeError} the pan is empty, or there is no such moment
 */
export function flowOtherwise(formula: Formula, other: OtherFlow): KeptCurve {
  const before = predictFormula(formula);
  const asked = formula.moments.find(({ name }) => name === other.moment);
  if (!before || !asked) throw new RangeError('there is no flow to change');
  const isFreed = ({ moment, quantity }: Gate) => {
    const at = formula.moments.find(({ name }) => name === moment);
    return FLOWS.has(quantity) && at !== undefined && isWarm(at.temperatureC) === isWarm(asked.temperatureC);
  };
  const gates = formula.gates.filter((gate) => !isFreed(gate));
  const kept = keepCurve(before, { ...formula, gates }, new Set(), other);
  const after: Formula = { ...kept.formula, gates: formula.gates };
  return { ...kept, formula: after, after: predictFormula(after) ?? kept.after };
}
