import type { Mixture } from '../matter/mixture';
import { sigmoid } from '../smooth';
import type { Flow } from './state';

/** Standard deviations of the model itself; weighing, composition and the thermometer come on top. */
export interface ModelDoubt {
  /** of ln(viscosity), ln(yield) */
  readonly lnViscosity: number;
  readonly lnYield: number;
  /** of ln(yield) where cocoa carries it: it is off as the warm flow is */
  readonly lnWarmYield: number;
  /** of ln(yield) where a gel carries it: gelatin, starch and pectin do not err with the cocoa */
  readonly lnGel: number;
  /** absolute */
  readonly waterActivity: number;
  /** of the shine index before its curve */
  readonly shine: number;
}

/** The family that is known best, and all others (J, from the spread of predictions against expected ranges). */
const DAIRY_GANACHE = { lnViscosity: 0.5, lnYield: 0.7, waterActivity: 0.01 };
const OTHER_FAMILY = { lnViscosity: 0.8, lnYield: 1, waterActivity: 0.015 };
const LN_GEL = 0.7;
const SHINE_SD = 0.8;
/** What stays unknown of a shine however often a kitchen has looked (J). */
const SHINE_LEFT_SD = 0.3;

/** Parts of the batch within which a dairy ganache lies, and how gradually it ends there (J). */
const WATER = { least: 0.17, most: 0.43, width: 0.008 };
const MILK_FAT = { least: 0.03, width: 0.004 };
const COCOA = { least: 0.01, width: 0.0015 };
/** Part of the batch of other thickeners at which half of it is another family. */
const THICKENERS = 0.012;

/**
 * How much of a dairy ganache a batch is, 1 to 0: between one part of chocolate to two of cream and two to one, known by its water, cocoa, milk fat
 * and the absence of other thickeners. Families change into each other smoothly: a gram more never widens the doubt by a step.
 */
function asDairyGanache(mixture: Mixture): number {
  const share = (grams: number) => grams / mixture.massG;
  const water = share(mixture.waterG);
  const thickeners = share(mixture.starchG + mixture.gelatinG + mixture.pectinG + mixture.agarG + mixture.gumsG);
  return (
    sigmoid((water - WATER.least) / WATER.width) *
    sigmoid((WATER.most - water) / WATER.width) *
    sigmoid((share(mixture.milkFatG) - MILK_FAT.least) / MILK_FAT.width) *
    sigmoid((share(mixture.cocoaSolidsG) - COCOA.least) / COCOA.width) *
    (1 / (1 + (thickeners / THICKENERS) ** 2))
  );
}

/**
 * How far the model may be off for this kind of batch (judgement). Between families variances mix with the shares. A kitchen's own tests never widen it.
 *
 * @param mixture the batch, mass above 0
 */
export function modelDoubt(mixture: Mixture): ModelDoubt {
  const known = asDairyGanache(mixture);
  const between = (name: keyof typeof DAIRY_GANACHE) =>
    Math.sqrt(known * DAIRY_GANACHE[name] ** 2 + (1 - known) * OTHER_FAMILY[name] ** 2);
  const { learnt } = mixture.process;
  const doubt = {
    lnViscosity: between('lnViscosity'),
    lnYield: between('lnYield'),
    lnWarmYield: between('lnYield'),
    lnGel: LN_GEL,
    waterActivity: between('waterActivity'),
    shine: SHINE_SD,
  };
  if (!learnt) return doubt;
  return {
    ...doubt,
    lnViscosity: Math.min(doubt.lnViscosity, learnt.warmSd),
    lnYield: Math.min(doubt.lnYield, learnt.coldSd),
    lnWarmYield: Math.min(doubt.lnWarmYield, learnt.warmSd),
    lnGel: Math.min(doubt.lnGel, learnt.gelSd),
    shine: Math.min(doubt.shine, Math.hypot(learnt.shine.sd, SHINE_LEFT_SD)),
  };
}

/** How doubts about warm flow, gels and the fat set move a state, in natural logarithms per standard deviation. */
export interface FlowDoubt {
  readonly viscosityByWarm: number;
  readonly yieldByWarm: number;
  readonly yieldByGel: number;
  readonly yieldByCold: number;
}

/** Keeps shares defined where nothing yields. */
const TRACE_PA = 1e-9;

/**
 * Shares the model's doubt between what is wrong with the warm flow (serum, packing, cocoa flocs), with gels, and with the fat set. The three are
 * independent; where they share a yield, their variances add with the shares themselves, so that the band does not shrink where they meet.
 */
export function flowDoubt(flow: Flow, doubt: ModelDoubt): FlowDoubt {
  const { cocoaYieldPa: warm, gelYieldPa: gel, fatYieldPa: cold } = flow;
  const all = warm + gel + cold + TRACE_PA;
  return {
    viscosityByWarm: doubt.lnViscosity,
    yieldByWarm: Math.sqrt((warm + TRACE_PA) / all) * doubt.lnWarmYield,
    yieldByGel: Math.sqrt(gel / all) * doubt.lnGel,
    yieldByCold: Math.sqrt(cold / all) * doubt.lnYield,
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
  return Math.hypot(
    byViscosity * parts.viscosityByWarm + byYield * parts.yieldByWarm,
    byYield * parts.yieldByGel,
    byYield * parts.yieldByCold,
  );
}

/** Standard deviation of ln(yield stress) that the model itself brings. */
export function lnDoubtOfYield(flow: Flow, doubt: ModelDoubt): number {
  const { yieldByWarm, yieldByGel, yieldByCold } = flowDoubt(flow, doubt);
  return Math.hypot(yieldByWarm, yieldByGel, yieldByCold);
}
