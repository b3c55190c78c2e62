import { addTimes, noComponents } from '../matter/component-vector';
import type { Addition } from './add';
import { heatCapacityOf, latentHeat, meltingPoint, solidFatOf } from './melting';

/** What comes of parts that are put together. */
export interface Together {
  readonly temperatureC: number;
  /** share of what can melt that stays unmelted, 0-1 */
  readonly unmelted: number;
}

/**
 * Heat balance before pouring: how warm parts stand together, and whether that melts all of them. While anything is left to melt, the
 * temperature stands at its melting point.
 *
 * @param liquids grams and temperatures, melted
 * @param solids pieces, cold
 * @returns nothing lost to the pan: the best that can come of it
 * @example 200 g cream at 98 °C and 200 g of a dark couverture at 22 °C: 63.7 °C, all melted
 */
export function together(
  liquids: readonly Pick<Addition, 'perGram' | 'grams' | 'temperatureC'>[],
  solids: readonly Pick<Addition, 'perGram' | 'grams' | 'temperatureC'>[],
): Together {
  let capacity = 0;
  let heat = 0;
  for (const { perGram, grams, temperatureC } of [...liquids, ...solids]) {
    const own = (grams / 1000) * heatCapacityOf(perGram);
    capacity += own;
    heat += own * temperatureC;
  }
  const unmeltedC = heat / capacity;
  const solid = noComponents();
  for (const { perGram, grams } of solids) addTimes(solid, perGram, grams);
  if (solidFatOf(solid) <= 0) return { temperatureC: unmeltedC, unmelted: 0 };
  const meltsAtC = meltingPoint(solid);
  if (unmeltedC <= meltsAtC) return { temperatureC: unmeltedC, unmelted: 1 };
  const latentJ = solids.reduce((sum, { perGram, grams }) => sum + (grams / 1000) * latentHeat(perGram), 0);
  const spareJ = (unmeltedC - meltsAtC) * capacity;
  return spareJ < latentJ
    ? { temperatureC: meltsAtC, unmelted: 1 - spareJ / latentJ }
    : { temperatureC: meltsAtC + (spareJ - latentJ) / capacity, unmelted: 0 };
}
