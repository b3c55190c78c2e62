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

/** How a doubt about flow when warm and one about the fat set move a state, in natural logarithms per standard deviation. */
export interface FlowDoubt {
  readonly viscosityByWarm: number;
  readonly yieldByWarm: number;
  readonly yieldByCold: number;
}

/**
 * Shares the model's doubt between what is wrong with the warm flow (serum, packing, cocoa flocs, gels) and what is wrong with the fat set, as a
 * kitchen's two offsets do. The two are taken as independent (J).
 */
export function flowDoubt(flow: Flow, doubt: ModelDoubt): FlowDoubt {
  const soft = flow.cocoaYieldPa + flow.gelYieldPa;
  const warm = (soft + 1e-9) / (soft + flow.fatYieldPa + 1e-9);
  return {
    viscosityByWarm: doubt.lnViscosity,
    yieldByWarm: warm * doubt.lnYield,
    yieldByCold: (1 - warm) * doubt.lnYield,
  };
}

/**
 * Standard deviation of ln(resistance) that the model itself brings, to first order.
 *
 * @returns natural-log units
 */
export function lnDoubtOfResistance(flow: Flow, doubt: ModelDoubt): number {
  const byYield = Math.sqrt(flow.yieldStressPa / flow.resistancePa);
  const byViscosity = 1 - byYield;
  const parts = flowDoubt(flow, doubt);
  return Math.hypot(byViscosity * parts.viscosityByWarm + byYield * parts.yieldByWarm, byYield * parts.yieldByCold);
}

/** Standard deviation of water activity, absolute, and of the shine index before its curve (J). */
export function indexDoubt(doubt: ModelDoubt): { waterActivity: number; shine: number } {
  return { waterActivity: doubt === DAIRY_GANACHE ? 0.01 : 0.015, shine: SHINE_SD };
}

const SHINE_SD = 0.8;
