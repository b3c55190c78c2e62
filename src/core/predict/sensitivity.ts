import { costOfLines, type Formula, finishedComponents } from '../formula/formula';
import { GATE_QUANTITIES, type GateQuantity } from '../formula/gate-quantities';
import { recordOf } from '../keys-of';
import { addTimes } from '../matter/component-vector';
import type { ComponentVector } from '../matter/components';
import { climateAt } from './climate';
import { onScale, quantityOf } from './quantities';
import { prepareBatch, stateIn } from './state';

/** Share of the batch by which a slope is taken. */
const STEP = 1e-4;

/** How a moment's quantities change. */
export interface MomentChange {
  readonly moment: string;
  /** d ln(value) for quantities that are never 0 and not a share; d value for the rest */
  readonly byQuantity: Readonly<Record<GateQuantity, number>>;
}

/** Quantities read as a change of their logarithm: a factor. */
const AS_FACTOR: ReadonlySet<GateQuantity> = new Set<GateQuantity>([
  'apparentViscosityPaS',
  'yieldStressPa',
  'resistancePa',
]);

const forEachQuantity = (value: (quantity: GateQuantity) => number) => recordOf(GATE_QUANTITIES, value);

/**
 * What more of an ingredient does to every quantity at every moment.
 *
 * @param formula mass above 0
 * @param perGram what 1 g of the ingredient is made of: a line's, or any other
 * @param addedG g, above 0
 * @param pricePerKg its price, for the cost
 * @example 10 g of cream more thins 300 g of an equal-weights ganache at 40 °C by a fifth
 */
export function changeByMore(
  formula: Formula,
  perGram: ComponentVector,
  addedG: number,
  pricePerKg = 0,
): MomentChange[] {
  const base = finishedComponents(formula);
  const cost = costOfLines(formula.lines);
  const moved = addTimes(base.slice(), perGram, addedG);
  const [before, after] = [prepareBatch(base, formula.process), prepareBatch(moved, formula.process)];
  return formula.moments.map(({ name, temperatureC, history }) => {
    const climate = climateAt(temperatureC, history);
    const was = { mixture: before.mixture, state: stateIn(before, climate), costPerKg: cost / before.mixture.massG };
    const is = {
      mixture: after.mixture,
      state: stateIn(after, climate),
      costPerKg: (cost + addedG * pricePerKg) / after.mixture.massG,
    };
    const change = (quantity: GateQuantity) => {
      const [a, b] = [quantityOf(was, quantity), quantityOf(is, quantity)];
      return AS_FACTOR.has(quantity) ? onScale(quantity, b) - onScale(quantity, a) : b - a;
    };
    return { moment: name, byQuantity: forEachQuantity(change) };
  });
}

/**
 * What 1 % of the batch more of an ingredient does to every quantity at every moment, from forward differences.
 *
 * @param formula mass above 0
 * @param perGram what 1 g of the ingredient is made of: a line's, or any other
 * @param pricePerKg its price, for the cost
 * @example 1 % of cream more thins an equal-weights ganache by 6.6 % at 40 °C
 */
export function sensitivity(formula: Formula, perGram: ComponentVector, pricePerKg = 0): MomentChange[] {
  const massG = formula.lines.reduce((sum, line) => sum + line.grams, 0);
  return changeByMore(formula, perGram, STEP * massG, pricePerKg).map(({ moment, byQuantity }) => ({
    moment,
    byQuantity: forEachQuantity((quantity) => byQuantity[quantity] / (100 * STEP)),
  }));
}
