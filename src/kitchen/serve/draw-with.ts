import { balance } from '@/core/balance/balance';
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
  const { grams } = balance(wanted, { explain: false, starts: 4 });
  const after = { ...second, lines: second.lines.map((line, i) => ({ ...line, grams: grams[i] ?? line.grams })) };
  const flow = flowOf(after, temperatureC);
  if (!flow) return { asItIs, balanced: undefined };
  const match = drawingMatch(one, flow);
  return { asItIs, balanced: match.holds ? { match, grams, flow } : undefined };
}
