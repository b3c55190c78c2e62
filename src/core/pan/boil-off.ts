import { positivePart } from '../smooth';
import { type Hob, hobHeat } from './heat-source';
import { lossToKitchen, type Vessel } from './vessel';
import { STEAM_HEAT } from './water';

/** °C of what boils, near enough for a rate. */
const AT_THE_BOIL_C = 100;
const ROUNDNESS_W = 20;

/**
 * Grams of water a boiling pan loses in a minute: what {@link follow} comes to once it boils. It grows with the power until the base is the limit,
 * then with the width squared; what is in the pan does not matter.
 *
 * @returns g/min
 * @see heat balance; limits are judgement
 * @example boilOffRate({ powerW: 2000, efficiency: 0.6, level: 1 }, { diameterM: 0.2, kitchenC: 25 }) // 25.9
 */
export function boilOffRate(hob: Hob, vessel: Pick<Vessel, 'diameterM' | 'kitchenC'>): number {
  const spareW = hobHeat(hob, vessel) - lossToKitchen(AT_THE_BOIL_C, vessel);
  return (60_000 * positivePart(spareW, ROUNDNESS_W)) / STEAM_HEAT;
}
