import { addTimes, noComponents } from '../matter/component-vector';
import type { ComponentVector } from '../matter/components';
import type { Process, ThermalHistory } from '../matter/process';
import { prepareBatch, type State, stateAt } from '../predict/state';

/** What is wrong and how to judge it. */
export interface RescueCase {
  /** g of each component in the pan, not all 0 */
  readonly components: ComponentVector;
  readonly process: Process;
  readonly temperatureC: number;
  readonly history: ThermalHistory;
  /** the quantity to mend, above 0 */
  readonly read: (state: State) => number;
  /** what it should become, above 0 */
  readonly target: number;
}

/** Most that is tried, times the mass in the pan. */
const MOST_TIMES_MASS = 1.5;
const SCAN = 24;
const HALVINGS = 40;
const TRACE = 1e-12;

/**
 * Smallest addition of one ingredient that brings a quantity to its target.
 *
 * @param rescue the pan and the target
 * @param perGram what 1 g of the addition is made of
 * @returns g; `undefined` when this ingredient cannot mend it within one and a half times the pan
 * @example 40 g cream takes 199 g of equal-weights ganache from 1.15 to 0.4 Pa·s at 40 °C
 */
export function smallestAddition(rescue: RescueCase, perGram: ComponentVector): number | undefined {
  const { components, process, temperatureC, history, read, target } = rescue;
  const massG = components.reduce((sum, grams) => sum + grams, 0);
  const mixed = noComponents();
  const miss = (grams: number) => {
    mixed.set(components);
    addTimes(mixed, perGram, grams);
    const value = read(stateAt(prepareBatch(mixed, process), temperatureC, history));
    return Math.log(Math.max(value, TRACE)) - Math.log(target);
  };
  const atStart = miss(0);
  if (atStart === 0) return 0;
  let low = 0;
  for (let i = 1; i <= SCAN; i++) {
    let high = MOST_TIMES_MASS * massG * (i / SCAN) ** 2;
    if (miss(high) * atStart > 0) {
      low = high;
      continue;
    }
    for (let k = 0; k < HALVINGS; k++) {
      const middle = (low + high) / 2;
      if (miss(middle) * atStart > 0) low = middle;
      else high = middle;
    }
    return (low + high) / 2;
  }
  return undefined;
}
