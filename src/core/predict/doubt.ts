import type { Mixture } from '../matter/mixture';
import type { Flow } from './state';

/** Standard deviations of the model itself, in natural logarithms; weighing and composition come on top. */
export interface ModelDoubt {
  readonly lnViscosity: number;
  readonly lnYield: number;
}

const DAIRY_GANACHE: ModelDoubt = { lnViscosity: 0.5, lnYield: 0.7 };
const OTHER_FAMILY: ModelDoubt = { lnViscosity: 0.8, lnYield: 1 };

/**
 * How far the model may be off for this kind of batch (judgement, from the spread of predictions against expected ranges).
 *
 * A dairy ganache between one part of chocolate to two of cream and two to one is known best; it is recognised by its water (18-42 %),
 * cocoa, milk fat and the absence of other thickeners.
 *
 * @param mixture the batch, mass above 0
 */
export function modelDoubt(mixture: Mixture): ModelDoubt {
  const share = (grams: number) => grams / mixture.massG;
  const water = share(mixture.waterG);
  const thickeners = share(mixture.starchG + mixture.gelatinG + mixture.pectinG + mixture.gumsG);
  const isDairyGanache =
    water > 0.18 &&
    water < 0.42 &&
    share(mixture.milkFatG) > 0.03 &&
    share(mixture.cocoaSolidsG) > 0.01 &&
    thickeners < 0.003;
  return isDairyGanache ? DAIRY_GANACHE : OTHER_FAMILY;
}

/**
 * Standard deviation of ln(resistance): yield stress and viscosity weighted by their part in the Casson stress, taken as moving
 * together.
 *
 * @returns natural-log units
 */
export function lnDoubtOfResistance(flow: Flow, doubt: ModelDoubt): number {
  const byYield = Math.sqrt(flow.yieldStressPa);
  const byViscosity = Math.sqrt(flow.resistancePa) - byYield;
  return (byYield * doubt.lnYield + byViscosity * doubt.lnViscosity) / (byYield + byViscosity);
}
