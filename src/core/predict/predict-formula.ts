import { plateDiameter } from '../flow/ring-spread';
import { costOfLines, type Formula, finishedComponents, finishedMass } from '../formula/formula';
import { type GateReading, momentOf, readGate } from '../formula/gates';
import type { Moment } from '../formula/moments';
import type { ComponentVector } from '../matter/components';
import { usualHistory } from '../matter/process';
import { nth } from '../nth';
import { alcoholPercentVol, type Taste, taste } from '../taste/taste';
import { quantityOf } from './quantities';
import { type Batch, prepareBatch, type State, stateAt } from './state';

/** A moment and what the batch is like then. */
export interface MomentReading {
  readonly moment: Moment;
  readonly state: State;
  /** mm, 20 ml after 30 s from a 5 cm ring */
  readonly plateDiameterMm: number;
}

/** Everything predicted of a formula. */
export interface Prediction {
  readonly massG: number;
  /** kg/m³ at the reading temperature of `asKept` */
  readonly densityKgM3: number;
  /** g of each component in the batch */
  readonly components: ComponentVector;
  readonly batch: Batch;
  /** the state in which densities, water activity and crystals are quoted: rested at 20 °C */
  readonly asKept: State;
  readonly taste: Taste;
  readonly alcoholPercentVol: number;
  /** a kilogram, in the money of the kitchen, of what leaves the stove; lines without a price count as free */
  readonly costPerKg: number;
  readonly gates: readonly GateReading[];
  readonly moments: readonly MomentReading[];
  /** every gate lands */
  readonly lands: boolean;
}

/** °C at which water activity and density of the whole formula are quoted, as they are measured. */
export const QUOTED_AT_C = 20;

/** A pan with no more than this is empty: shares of it would be noise, or no numbers. */
const LEAST_MASS_G = 1e-6;

/**
 * Predicts a formula: its matter, every moment and every gate.
 *
 * @param formula lines with grams 0 or more, gates that name moments of the formula
 * @returns nothing yet (`undefined`) while the pan holds nothing: a microgram or less
 * @throws {RangeError} a gate names a moment that is not there
 * @example predictFormula(formula)?.gates.every((gate) => gate.lands)
 */
export function predictFormula(formula: Formula): Prediction | undefined {
  const components = finishedComponents(formula);
  const batch = prepareBatch(components, formula.process);
  const { mixture } = batch;
  if (!(mixture.massG > LEAST_MASS_G)) return undefined;
  // What boils off was paid for, too: the cost is that of what is left.
  const costPerKg = costOfLines(formula.lines) / mixture.massG;
  const asKept = stateAt(batch, QUOTED_AT_C, usualHistory(QUOTED_AT_C));
  const moments = formula.moments.map((moment): MomentReading => {
    const state = stateAt(batch, moment.temperatureC, moment.history);
    const { plasticViscosityPaS, yieldStressPa, phases } = state.flow;
    return {
      moment,
      state,
      plateDiameterMm: plateDiameter({ plasticViscosityPaS, yieldStressPa, densityKgM3: phases.densityKgM3 }),
    };
  });
  const gates = formula.gates.map((gate) => {
    const at = nth(moments, formula.moments.indexOf(momentOf(gate, formula.moments)));
    return readGate(gate, quantityOf({ mixture, state: at.state, costPerKg }, gate.quantity));
  });
  return {
    massG: finishedMass(formula),
    densityKgM3: asKept.flow.phases.densityKgM3,
    components,
    batch,
    asKept,
    taste: taste(mixture),
    alcoholPercentVol: alcoholPercentVol(mixture.ethanolG, asKept.flow.phases.volumeMl),
    costPerKg,
    gates,
    moments,
    lands: gates.every((gate) => gate.lands),
  };
}
