import { type Gate, type GateReading, momentOf, readGate } from '../balance/gates';
import { quantityOf } from '../balance/quantities';
import { plateDiameter } from '../flow/ring-spread';
import type { ComponentVector } from '../matter/components';
import { boiledOff, boilOff, mix } from '../matter/mixing';
import { type Process, usualHistory } from '../matter/process';
import { alcoholPercentVol, type Taste, taste } from '../taste/taste';
import type { DoubtKind, Measured } from './input-doubt';
import type { Moment } from './moments';
import { type Batch, prepareBatch, type State, stateAt } from './state';

/** One row of the pan. */
export interface FormulaLine {
  /** id of the ingredient */
  readonly ingredient: string;
  /** what 1 g of it is made of, g per g */
  readonly perGram: ComponentVector;
  /** g, 0 or more */
  readonly grams: number;
  readonly locked: boolean;
  /** g, least and most a balance may use */
  readonly minGrams?: number | undefined;
  readonly maxGrams?: number | undefined;
  /** lines with the same tie keep their proportion in a balance */
  readonly tie?: string | undefined;
  /** a kilogram, in the money of the kitchen; counts as free when left out */
  readonly pricePerKg?: number | undefined;
  /** what is doubtful about its composition; nothing when left out */
  readonly kind?: DoubtKind | undefined;
  /** how it is measured out; weighed when left out */
  readonly measured?: Measured | undefined;
}

/** A formula with its ingredients resolved: all that prediction and balance need. */
export interface Formula {
  readonly lines: readonly FormulaLine[];
  readonly process: Process;
  readonly moments: readonly Moment[];
  readonly gates: readonly Gate[];
  /** g of water that boil off while it is made; none when left out */
  readonly evaporationG?: number | undefined;
}

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

/** Components of a formula as it leaves the stove: what was weighed in less what boiled off, g. */
export function finishedComponents({
  lines,
  evaporationG = 0,
}: Pick<Formula, 'lines' | 'evaporationG'>): ComponentVector {
  return boilOff(mix(lines), evaporationG);
}

/** What a formula weighs as it leaves the stove, g. */
export function finishedMass({ lines, evaporationG = 0 }: Pick<Formula, 'lines' | 'evaporationG'>): number {
  const weighedG = lines.reduce((sum, line) => sum + line.grams, 0);
  return evaporationG > 0 ? weighedG - boiledOff(mix(lines), evaporationG) : weighedG;
}

/** What all of a formula's lines cost, in thousandths of the money of the kitchen; lines without a price count as free. */
export function costOfLines(lines: readonly Pick<FormulaLine, 'grams' | 'pricePerKg'>[]): number {
  return lines.reduce((sum, line) => sum + line.grams * (line.pricePerKg ?? 0), 0);
}

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
    const at = moments[formula.moments.indexOf(momentOf(gate, formula.moments))] as MomentReading;
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
