import { addTimes } from '../matter/component-vector';
import type { ComponentVector } from '../matter/components';
import type { Process, ThermalHistory } from '../matter/process';
import { prepareBatch, type State, stateAt } from '../predict/state';

/** A pan that is to be mended, and the quantity that is off. */
export interface RescuePan {
  /** g of each component in the pan, not all 0 */
  readonly components: ComponentVector;
  readonly process: Process;
  /** °C it is judged at */
  readonly temperatureC: number;
  readonly history: ThermalHistory;
  /** the quantity to mend, above 0 */
  readonly read: (state: State) => number;
}

/** What an addition does to a pan: ln of the quantity, by grams. */
export interface AdditionCurve {
  /** g, rising from 0 */
  readonly grams: readonly number[];
  readonly ln: readonly number[];
}

/** Most that is looked at, times the mass of the pan. */
const MOST_TIMES = 1.2;
const POINTS = 28;
const TRACE = 1e-12;

export const panMass = (components: ComponentVector): number => components.reduce((sum, grams) => sum + grams, 0);

/** ln of the quantity of a pan as it is. */
export const lnOf = ({ components, process, temperatureC, history, read }: RescuePan): number =>
  Math.log(Math.max(read(stateAt(prepareBatch(components, process), temperatureC, history)), TRACE));

/** A pan with something in it. */
export function panWith(pan: RescuePan, perGram: ComponentVector, grams: number): RescuePan {
  const components = pan.components.slice();
  addTimes(components, perGram, grams);
  return { ...pan, components };
}

/**
 * What more and more of an addition does to a pan.
 *
 * @param perGram what 1 g of it is made of
 */
export function additionCurve(pan: RescuePan, perGram: ComponentVector): AdditionCurve {
  const most = MOST_TIMES * panMass(pan.components);
  const grams = Array.from({ length: POINTS + 1 }, (_, i) => most * (i / POINTS) ** 2);
  return { grams, ln: grams.map((each) => lnOf(panWith(pan, perGram, each))) };
}

/**
 * Least grams at which a curve comes to a value from where it begins.
 *
 * @returns 0 where it is there already, from the wanted side; nothing where it never comes there
 */
export function gramsTo({ grams, ln }: AdditionCurve, wanted: number, side: 'down' | 'up'): number | undefined {
  const isThere = (value: number) => (side === 'down' ? value <= wanted : value >= wanted);
  if (isThere(ln[0] ?? 0)) return 0;
  for (let i = 1; i < grams.length; i++) {
    const [a, b] = [ln[i - 1] ?? 0, ln[i] ?? 0];
    if (!isThere(b)) continue;
    const share = (wanted - a) / (b - a);
    const [from, to] = [grams[i - 1] ?? 0, grams[i] ?? 0];
    return from + share * (to - from);
  }
  return undefined;
}
