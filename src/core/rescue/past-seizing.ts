import type { ComponentVector } from '../matter/components';
import { prepareBatch, stateAt } from '../predict/state';
import { panMass, panWith, type RescuePan } from './addition-curve';

/** Below this it is no longer seized (J), and the warmth it is judged at. */
const LOOSE = 0.2;
const WARM_C = 40;
const STEPS = 60;
const MOST_TIMES = 0.6;

/**
 * Liquid that brings a pan past the window in which its sugar is glued together: less of it only stiffens it more.
 *
 * @param perGram what 1 g of the liquid is made of
 * @returns g; nothing where it is not seized, or no such amount loosens it
 */
export function gramsPastSeizing(pan: RescuePan, perGram: ComponentVector): number | undefined {
  const seized = (grams: number) => {
    const { components, process } = panWith(pan, perGram, grams);
    return stateAt(prepareBatch(components, process), WARM_C, [[0.3, WARM_C]]).risks.seized;
  };
  if (seized(0) <= LOOSE) return undefined;
  const most = MOST_TIMES * panMass(pan.components);
  for (let i = 1; i <= STEPS; i++) {
    const grams = (most * i) / STEPS;
    if (seized(grams) <= LOOSE) return grams;
  }
  return undefined;
}
