import type { GateQuantity } from '../formula/gate-quantities';
import { TENTH_SD } from '../normal';
import { climateAt } from './climate';
import { lnDoubtOfResistance, lnDoubtOfYield, modelDoubt } from './doubt';
import type { DoubtBand } from './monte-carlo';
import type { MomentReading, Prediction } from './predict-formula';
import { flowIn } from './state';
import { reallyAt, type Thermometer, thermometerSd, USUAL_THERMOMETER } from './thermometer';

/** Part of a standard deviation by which the slope along the thermometer is taken. */
const STEP = 0.2;

type FlowQuantity = 'apparentViscosityPaS' | 'yieldStressPa' | 'resistancePa';

/**
 * Where eight batches in ten fall at a moment, at once: the model's own doubt and the thermometer's, to first order. What is in the pan is taken as
 * weighed; the drawing that follows knows that too.
 *
 * @returns nothing for quantities of which no doubt is known
 */
export function firstDoubt(
  { batch }: Pick<Prediction, 'batch'>,
  { moment, state }: MomentReading,
  quantity: GateQuantity,
  value: number,
  thermometer: Thermometer = USUAL_THERMOMETER,
): DoubtBand | undefined {
  const doubt = modelDoubt(batch.mixture);
  const slope = (of: FlowQuantity) => {
    const off = STEP * thermometerSd(moment.temperatureC, thermometer);
    const warmer = flowIn(batch, climateAt(moment.temperatureC + off, reallyAt(moment.history, off)));
    return Math.log(warmer[of] / state.flow[of]) / STEP;
  };
  const factor = (lnSd: number) => {
    const times = Math.exp(TENTH_SD * lnSd);
    return { low: value / times, high: value * times };
  };
  switch (quantity) {
    case 'apparentViscosityPaS':
    case 'resistancePa':
      return factor(Math.hypot(lnDoubtOfResistance(state.flow, doubt), slope(quantity)));
    case 'yieldStressPa':
      return factor(Math.hypot(lnDoubtOfYield(state.flow, doubt), slope(quantity)));
    case 'waterActivity':
      return {
        low: value - TENTH_SD * doubt.waterActivity,
        high: Math.min(value + TENTH_SD * doubt.waterActivity, 1),
      };
    case 'shine': {
      const at = (z: number) => 100 / (1 + ((100 - value) / value) * Math.exp(-z * doubt.shine));
      return { low: at(-TENTH_SD), high: at(TENTH_SD) };
    }
    default:
      return undefined;
  }
}
