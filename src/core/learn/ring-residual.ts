import { PLATE_TEST } from '../flow/ring-spread';
import { spreadMultiplier } from '../flow/spread-inversion';
import { usualHistory } from '../matter/process';
import { type Batch, stateAt } from '../predict/state';

/** A ring read on a plate: 20 ml, after 30 s. */
export interface RingRead {
  /** mm, above the ring's own 50 */
  readonly diameterMm: number;
  /** °C it was read at */
  readonly temperatureC: number;
}

/** A spread no wider than its ring says "thicker than any": it is read as this, mm. */
const LEAST_MM = 50.5;

/**
 * How much thicker a batch pours than it is reckoned, by one ring.
 *
 * @param batch as reckoned; its process holds the offset of the kitchen, if one is to be taken into account
 * @returns ln(measured) - ln(predicted): 0 as reckoned, above 0 thicker
 * @see {@link spreadMultiplier}
 */
export function ringResidual(batch: Batch, { diameterMm, temperatureC }: RingRead): number {
  const { plasticViscosityPaS, yieldStressPa, phases } = stateAt(batch, temperatureC, usualHistory(temperatureC)).flow;
  const reckoned = { plasticViscosityPaS, yieldStressPa, densityKgM3: phases.densityKgM3 };
  return Math.log(spreadMultiplier(reckoned, { ...PLATE_TEST, diameterMm: Math.max(diameterMm, LEAST_MM) }));
}
