import { addTimes } from '../matter/component-vector';
import { GONE_G, type Lump } from './lump';
import { heatCapacityOf, latentHeat, meltingPoint } from './melting';
import type { PanState } from './pan';
import { lossToKitchen } from './vessel';

/** Below this there is no liquid to speak of, g. */
export const DRY_G = 0.5;

/**
 * Lets a moment pass in a pan without liquid: heat warms the lumps, then melts those that melt lowest.
 *
 * What is lost to the kitchen follows the temperature within the moment: a gram on a hob is as hot as the hob makes it, never hotter.
 *
 * @param pan lumps alone
 * @param heatW W that come in
 * @param seconds 1 or less
 */
export function warmDry(pan: PanState, heatW: number, seconds: number): PanState {
  const capacity = pan.lumps.reduce((sum, { perGram, grams }) => sum + (grams / 1000) * heatCapacityOf(perGram), 0);
  if (capacity <= 0) return { ...pan, seconds: pan.seconds + seconds };
  const pieces = pan.lumps.filter(({ kind }) => kind === 'piece').map(({ perGram }) => meltingPoint(perGram));
  const meltsAtC = Math.min(...pieces, Number.POSITIVE_INFINITY);
  const lossPerC = lossToKitchen(pan.vessel.kitchenC + 1, pan.vessel);
  const settlesAtC = pan.vessel.kitchenC + heatW / lossPerC;
  const warmed = settlesAtC + (pan.temperatureC - settlesAtC) * Math.exp((-lossPerC * seconds) / capacity);
  const temperatureC = Math.min(warmed, Math.max(meltsAtC, pan.temperatureC));
  let spareJ = Math.max(warmed - temperatureC, 0) * capacity;

  const liquid = pan.liquid.slice();
  const lumps: Lump[] = [];
  for (const lump of pan.lumps) {
    const melts = lump.kind === 'piece' && meltingPoint(lump.perGram) <= temperatureC;
    const gone = melts ? Math.min((1000 * spareJ) / Math.max(latentHeat(lump.perGram), 1), lump.grams) : 0;
    if (melts) spareJ -= (gone / 1000) * latentHeat(lump.perGram);
    addTimes(liquid, lump.perGram, gone);
    if (lump.grams - gone > GONE_G) lumps.push({ ...lump, grams: lump.grams - gone, temperatureC });
    else addTimes(liquid, lump.perGram, lump.grams - gone);
  }
  return {
    ...pan,
    seconds: pan.seconds + seconds,
    temperatureC,
    hottestC: Math.max(pan.hottestC, temperatureC),
    liquid,
    lumps,
  };
}
