import { addTimes } from '../matter/component-vector';
import type { ComponentVector } from '../matter/components';
import type { Process, ThermalHistory } from '../matter/process';
import { prepareBatch, stateAt } from '../predict/state';
import { taste } from '../taste/taste';

/** g of sugar, as sweet, from which on a guest has had enough at once (J). */
const TIRES_G = 25;

/** g of something at which its sweetness tires; nothing where it is hardly sweet. */
export function tiresAt(sweetness: number): number | undefined {
  const grams = (100 * TIRES_G) / Math.max(sweetness, 1e-9);
  return grams > 1000 ? undefined : grams;
}

/** What more of one ingredient does. */
export interface MoreOf {
  /** g of sugar in 100 g, as sweet, and 0-1 from bitter to sweet */
  readonly sweetness: number;
  readonly balance: number;
  /** viscosity at the pour over what it was */
  readonly flowTimes: number;
  /** risk that it tastes of chalk, 0-1 */
  readonly chalky: number;
}

/**
 * What some grams more of a row do to taste and flow.
 *
 * @param components g in the batch, not all 0
 * @param perGram what 1 g of it is made of
 * @param grams more of it, 0 or more
 */
export function moreOf(
  components: ComponentVector,
  process: Process,
  perGram: ComponentVector,
  grams: number,
  pour: { readonly temperatureC: number; readonly history: ThermalHistory },
): MoreOf {
  const more = components.slice();
  addTimes(more, perGram, grams);
  const [before, after] = [components, more].map((each) => {
    const batch = prepareBatch(each, process);
    return { ...taste(batch.mixture), state: stateAt(batch, pour.temperatureC, pour.history) };
  });
  if (!before || !after) throw new RangeError('two batches');
  return {
    sweetness: after.sweetness,
    balance: after.balance,
    flowTimes: after.state.flow.apparentViscosityPaS / before.state.flow.apparentViscosityPaS,
    chalky: after.state.risks.chalky,
  };
}

/** How hot a ground spice makes it, by g in a kilogram (J): tasted, always. */
export const SPICE_STEPS = [
  ['mild', 0],
  ['warm', 1],
  ['hot', 3],
  ['fierce', 6],
] as const;
export type SpiceHeat = (typeof SPICE_STEPS)[number][0];

/** The word for so many grams of ground chilli in a kilogram. */
export function spiceHeat(gramsPerKg: number): SpiceHeat {
  return SPICE_STEPS.findLast(([, from]) => gramsPerKg >= from)?.[0] ?? 'mild';
}
