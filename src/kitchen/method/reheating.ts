import { type Formula, finishedComponents } from '@/core/formula/formula';
import { momentOf } from '@/core/formula/gates';
import { compositionVector } from '@/core/matter/components';
import { boilOff } from '@/core/matter/mixing';
import { prepareBatch, stateAt } from '@/core/predict/state';
import { smallestAddition } from '@/core/rescue/smallest-addition';

/** What thins a sauce that is warmed again (whole milk: typical composition). */
const THINNERS = {
  water: compositionVector({ water: 100 }),
  milk: compositionVector({ water: 87.8, milk_fat: 3.6, milk_protein: 3.3, lactose: 4.6, milk_ash: 0.7 }),
} as const;

/** g of each that brings it back to its gate at the pour. */
export type Splash = Readonly<Record<keyof typeof THINNERS, number | undefined>>;

/** An emulsion of much fat is warmed no further. */
const MOST_C = 45;

/**
 * The splash a sauce needs when it is warmed again from the jar: what warming boils off, and what its gate asks for at the warmth it may have.
 *
 * @param formula as it leaves the stove
 * @param lostG g of water that warming it again boils off
 *
 * @returns nothing where it pours as it is, or no gate is set on its resistance at the pour
 */
export function reheatingSplash(formula: Formula, pourC: number, lostG: number): Splash | undefined {
  const gate = formula.gates.find(
    ({ quantity, high, moment }) =>
      quantity === 'resistancePa' &&
      high !== undefined &&
      momentOf({ quantity, moment }, formula.moments).temperatureC >= pourC - 1,
  );
  if (gate?.high === undefined) return undefined;
  const { temperatureC, history } = momentOf(gate, formula.moments);
  const rescue = {
    components: boilOff(finishedComponents(formula), lostG),
    process: formula.process,
    temperatureC: Math.min(temperatureC, MOST_C),
    history,
    read: ({ flow }: { readonly flow: { readonly resistancePa: number } }) => flow.resistancePa,
    target: gate.high,
  };
  const now = stateAt(prepareBatch(rescue.components, rescue.process), rescue.temperatureC, history);
  if (now.flow.resistancePa <= gate.high) return undefined;
  return { water: smallestAddition(rescue, THINNERS.water), milk: smallestAddition(rescue, THINNERS.milk) };
}
