import { addTimes } from '../matter/component-vector';
import { DEFAULT_PROCESS, usualHistory } from '../matter/process';
import type { Addition } from '../pan/add';
import { massG, type PanState } from '../pan/pan';
import { flowAt, prepareBatch } from '../predict/state';

/** From here on a pan of chocolate stiffens instead of loosening (J). */
const SEIZED = 0.3;
const WARM_C = 40;
const STEPS = 24;

/** How seized all of a pan would be with some times more of what went in, 0-1. */
function seizedWith(pan: PanState, wet: readonly Addition[], times: number): number {
  const all = pan.liquid.slice();
  for (const { perGram, grams } of pan.lumps) addTimes(all, perGram, grams);
  for (const { perGram, grams } of wet) addTimes(all, perGram, grams * times);
  const { phases, seizing } = flowAt(prepareBatch(all, DEFAULT_PROCESS), WARM_C, usualHistory(WARM_C));
  return (1 - phases.waterContinuous) * seizing;
}

/**
 * Whether what went in wet leaves the chocolate of a pan seized: a little water glues its sugar, more of it loosens it again.
 *
 * @param pan with all of it in
 * @param wet what went in
 * @returns g more of the same that it takes; nothing where it is not seized
 */
export function neededAgainstSeizing(pan: PanState, wet: readonly Addition[]): number | undefined {
  if (seizedWith(pan, wet, 0) <= SEIZED) return undefined;
  const grams = wet.reduce((sum, each) => sum + each.grams, 0);
  let [low, high] = [0, (2 * massG(pan)) / Math.max(grams, 1e-6)];
  for (let i = 0; i < STEPS; i++) {
    const middle = (low + high) / 2;
    if (seizedWith(pan, wet, middle) > SEIZED) low = middle;
    else high = middle;
  }
  return high * grams;
}
