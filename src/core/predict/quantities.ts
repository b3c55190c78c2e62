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

/** Cocoa butter and fat-free cocoa solids in 100 g: cocoa % as chocolate is labelled. */
export function cocoaPercent(mixture: Mixture): number {
  return (100 * (mixture.cocoaButterG + mixture.cocoaSolidsG)) / mixture.massG;
}

/** Sucrose, glucose, fructose and maltose in 100 g: what came as sugar or in chocolate; milk's own lactose is left out. */
export function sugarPercent(mixture: Mixture): number {
  return (100 * (mixture.sucroseG + mixture.glucoseG + mixture.fructoseG + mixture.maltoseG)) / mixture.massG;
}

const LEAST = 1e-9;
const ln = (weight: number) => (value: number) => weight * Math.log(Math.max(value, LEAST));
const logit = (weight: number) => (share: number) => {
  const inside = Math.min(Math.max(share, LEAST), 1 - LEAST);
  return weight * Math.log(inside / (1 - inside));
};

/** How a quantity is read, and the scale on which distances to a gate on it are measured; the scale rises with the value. */
interface Quantity {
  readonly value: (subject: Subject) => number;
  readonly scale: (value: number) => number;
}

const flow = (name: 'apparentViscosityPaS' | 'yieldStressPa' | 'resistancePa'): Quantity => ({
  value: ({ state }) => state.flow[name],
  scale: ln(1),
});
const risk = (name: keyof Risks): Quantity => ({ value: ({ state }) => state.risks[name], scale: logit(0.5) });

/**
 * Units as the names say; shine 0-100, risks and taste balance 0-1, sweetness g of sucrose in 100 g.
 *
 * Scales are logarithms, weighted so that a step counts as much as one in a flow property (water activity, shine and taste live in narrow
 * ranges); risks as the logarithm of their odds, since that is what moves evenly; alcohol with a little added, because none is a fair wish.
 * Weights are judgement.
 */
const QUANTITIES: Readonly<Record<GateQuantity, Quantity>> = {
  apparentViscosityPaS: flow('apparentViscosityPaS'),
  yieldStressPa: flow('yieldStressPa'),
  resistancePa: flow('resistancePa'),
  shine: { value: ({ state }) => state.shine, scale: ln(5) },
  waterActivity: { value: ({ state }) => state.waterActivity, scale: ln(20) },
  sweetness: { value: ({ mixture }) => taste(mixture).sweetness, scale: ln(3) },
  tasteBalance: { value: ({ mixture }) => taste(mixture).balance, scale: ln(3) },
  sugarPercent: { value: ({ mixture }) => sugarPercent(mixture), scale: ln(3) },
  cocoaPercent: { value: ({ mixture }) => cocoaPercent(mixture), scale: ln(3) },
  alcoholPercentVol: {
    value: ({ mixture, state }) => alcoholPercentVol(mixture.ethanolG, state.flow.phases.volumeMl),
    scale: (value) => 2 * Math.log(0.05 + value),
  },
  costPerKg: { value: ({ costPerKg }) => costPerKg, scale: ln(3) },
  brokenRisk: risk('broken'),
  seizedRisk: risk('seized'),
  grainyRisk: risk('grainy'),
  chalkyRisk: risk('chalky'),
  gummyRisk: risk('gummy'),
  weepingRisk: risk('weeping'),
  skinRisk: risk('skin'),
  bloomRisk: risk('bloom'),
};

/** Value of a quantity of a batch at one moment. */
export function quantityOf(subject: Subject, quantity: GateQuantity): number {
  return QUANTITIES[quantity].value(subject);
}

/** A value on the scale of its quantity: rises with it. */
export function onScale(quantity: GateQuantity, value: number): number {
  return QUANTITIES[quantity].scale(value);
}
