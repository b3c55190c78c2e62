import type { GateQuantity } from '../formula/gate-quantities';
import type { Mixture } from '../matter/mixture';
import type { Risks } from '../stability/risks';
import { alcoholPercentVol, taste } from '../taste/taste';
import type { State } from './state';

/** A batch at one moment, as far as gates read it. */
export interface Subject {
  readonly mixture: Mixture;
  readonly state: State;
  /** a kilogram of the batch, in the money of the kitchen; rows without a price count as free */
  readonly costPerKg: number;
}

const RISK_OF: Partial<Record<GateQuantity, keyof Risks>> = {
  brokenRisk: 'broken',
  seizedRisk: 'seized',
  grainyRisk: 'grainy',
  chalkyRisk: 'chalky',
  gummyRisk: 'gummy',
  weepingRisk: 'weeping',
  skinRisk: 'skin',
  bloomRisk: 'bloom',
};

/** Cocoa butter and fat-free cocoa solids in 100 g: cocoa % as chocolate is labelled. */
export function cocoaPercent(mixture: Mixture): number {
  return (100 * (mixture.cocoaButterG + mixture.cocoaSolidsG)) / mixture.massG;
}

/** Sucrose, glucose, fructose and maltose in 100 g: what came as sugar or in chocolate; milk's own lactose is left out. */
export function sugarPercent(mixture: Mixture): number {
  return (100 * (mixture.sucroseG + mixture.glucoseG + mixture.fructoseG + mixture.maltoseG)) / mixture.massG;
}

/** Value of a quantity. Units as its name says; shine 0-100, risks and taste balance 0-1, sweetness g of sucrose in 100 g. */
export function quantityOf(subject: Subject, quantity: GateQuantity): number {
  const { mixture, state, costPerKg } = subject;
  switch (quantity) {
    case 'apparentViscosityPaS':
    case 'yieldStressPa':
    case 'resistancePa':
      return state.flow[quantity];
    case 'shine':
    case 'waterActivity':
      return state[quantity];
    case 'sweetness':
      return taste(mixture).sweetness;
    case 'tasteBalance':
      return taste(mixture).balance;
    case 'sugarPercent':
      return sugarPercent(mixture);
    case 'cocoaPercent':
      return cocoaPercent(mixture);
    case 'alcoholPercentVol':
      return alcoholPercentVol(mixture.ethanolG, state.flow.phases.volumeMl);
    case 'costPerKg':
      return costPerKg;
    default:
      return state.risks[RISK_OF[quantity] as keyof Risks];
  }
}

const LEAST = 1e-9;
const ln = (weight: number) => (value: number) => weight * Math.log(Math.max(value, LEAST));
const logit = (weight: number) => (share: number) => {
  const inside = Math.min(Math.max(share, LEAST), 1 - LEAST);
  return weight * Math.log(inside / (1 - inside));
};

/**
 * The scale on which distances to a gate are measured: logarithms, weighted so that a step counts as much as one in a flow property
 * (water activity, shine and taste live in narrow ranges); risks as the logarithm of their odds, since that is what moves evenly; alcohol
 * with a little added, because none is a fair wish. Weights are judgement.
 */
const SCALE: Record<GateQuantity, (value: number) => number> = {
  apparentViscosityPaS: ln(1),
  yieldStressPa: ln(1),
  resistancePa: ln(1),
  shine: ln(5),
  waterActivity: ln(20),
  sweetness: ln(3),
  tasteBalance: ln(3),
  sugarPercent: ln(3),
  cocoaPercent: ln(3),
  alcoholPercentVol: (value) => 2 * Math.log(0.05 + value),
  costPerKg: ln(3),
  brokenRisk: logit(0.5),
  seizedRisk: logit(0.5),
  grainyRisk: logit(0.5),
  chalkyRisk: logit(0.5),
  gummyRisk: logit(0.5),
  weepingRisk: logit(0.5),
  skinRisk: logit(0.5),
  bloomRisk: logit(0.5),
};

/** A value on the scale of its quantity: rises with it. */
export function onScale(quantity: GateQuantity, value: number): number {
  return SCALE[quantity](value);
}
