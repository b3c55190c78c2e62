import { balance } from '@/core/balance/balance';
import { withGrams } from '@/core/balance/result';
import type { Formula } from '@/core/formula/formula';
import { usualHistory } from '@/core/matter/process';
import { predictFormula } from '@/core/predict/predict-formula';
import { type Flow, flowAt } from '@/core/predict/state';
import { DRAWING, type DrawingMatch, drawingMatch } from '@/core/serve/second-sauce';

/** A second sauce as it is, and as it is once it is balanced to be drawn with. */
export interface DrawWith {
  readonly asItIs: DrawingMatch;
  readonly balanced:
    | {
        readonly match: DrawingMatch;
        /** g of each row, as many in all as before */
        readonly grams: readonly number[];
        readonly flow: Flow;
      }
    | undefined;
}

/** °C a plate is drawn on at, as it comes to the pass (J). */
export const PLATE_C = 35;
/** Gates a little within what holds, so that rounding stays inside. */
const WITHIN = 1.45;

const flowOf = (formula: Formula, temperatureC: number): Flow | undefined => {
  const prediction = predictFormula(formula);
  return prediction && flowAt(prediction.batch, temperatureC, usualHistory(temperatureC));
};

/** Weight is no gate: a row is taken down or up first, so that lighter and heavier ways to the same flow are found. */
const FIRST_SHIFTS = [0.5, 1.8] as const;

/** Rows that are shifted: the heaviest, which move the weight of all most. */
const SHIFTED_ROWS = 3;

/** The second sauce with each of its heaviest free rows shifted, as heavy in all as before. */
function shifted(formula: Formula): readonly Formula[] {
  const total = formula.lines.reduce((sum, { grams }) => sum + grams, 0);
  const heaviest = formula.lines
    .map(({ locked, grams }, row) => ({ row, grams: locked ? 0 : grams }))
    .filter(({ grams }) => grams > 0)
    .toSorted((a, b) => b.grams - a.grams)
    .slice(0, SHIFTED_ROWS);
  return heaviest.flatMap(({ row }) =>
    FIRST_SHIFTS.map((times) => {
      const moved = formula.lines.map((line, i) => (i === row ? times * line.grams : line.grams));
      const sum = moved.reduce((all, each) => all + each, 0);
      return withGrams(
        formula,
        moved.map((each) => (each * total) / sum),
      );
    }),
  );
}

/** How far grams lie from a formula's own, as a share of its weight. */
function movedBy({ lines }: Formula, grams: readonly number[]): number {
  const total = lines.reduce((sum, line) => sum + line.grams, 0);
  return lines.reduce((sum, line, i) => sum + Math.abs((grams[i] ?? 0) - line.grams), 0) / total;
}

/**
 * Balances a second sauce to the first's flow at the plate's temperature: its own gates are left aside, its rows move as little as they may.
 *
 * @returns nothing where one of the pans is empty; nothing balanced where it holds as it is, or cannot be brought there
 */
export function drawWith(first: Formula, second: Formula, temperatureC = PLATE_C): DrawWith | undefined {
  const [one, two] = [flowOf(first, temperatureC), flowOf(second, temperatureC)];
  if (!one || !two) return undefined;
  const asItIs = drawingMatch(one, two);
  if (asItIs.holds) return { asItIs, balanced: undefined };
  const moment = { name: 'plate', temperatureC, history: usualHistory(temperatureC) };
  const wanted: Formula = {
    ...second,
    moments: [moment],
    gates: [
      {
        moment: moment.name,
        quantity: 'apparentViscosityPaS',
        low: one.apparentViscosityPaS / WITHIN,
        high: one.apparentViscosityPaS * WITHIN,
      },
      { moment: moment.name, quantity: 'yieldStressPa', high: 0.9 * DRAWING.mostYieldPa },
    ],
  };
  const tried = (from: Formula) => {
    const { grams } = balance(from, { explain: false, starts: 1 });
    const flow = flowOf(withGrams(second, grams), temperatureC);
    const match = flow && drawingMatch(one, flow);
    return flow && match?.holds ? [{ match, grams, flow, moved: movedBy(second, grams) }] : [];
  };
  // What is brought there straight has moved least already.
  const straight = tried(wanted);
  const found = straight.length > 0 ? straight : shifted(wanted).flatMap(tried);
  const [nearest] = found.toSorted((a, b) => a.moved - b.moved);
  return { asItIs, balanced: nearest };
}
