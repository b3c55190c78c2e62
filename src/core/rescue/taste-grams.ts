import type { ComponentVector } from '../matter/components';
import { foldMixture, type Mixture } from '../matter/mixture';
import { DEFAULT_PROCESS } from '../matter/process';
import { taste } from '../taste/taste';

/** A change of sweetness that is tasted (J). */
const LESS = 0.9;
const MORE = 1.12;
/** More than this, as a share of the pan, is another batch. */
const MOST = 0.6;

/**
 * Grams of something that make a pan a little less sweet, or sweeter against its bitterness: the mean of sweetness by weight.
 *
 * @param perGram what 1 g of it is made of: unsweetened chocolate, or sugar
 * @returns nothing where it would take more than half the pan again
 */
export function tasteGrams(
  mixture: Mixture,
  perGram: ComponentVector,
  wants: 'lessSweet' | 'lessBitter',
): number | undefined {
  const { massG } = mixture;
  const { sweetness } = taste(mixture);
  const added = taste(foldMixture(perGram, DEFAULT_PROCESS)).sweetness;
  const wanted = sweetness * (wants === 'lessSweet' ? LESS : MORE);
  const grams = (massG * (wanted - sweetness)) / (added - wanted);
  return grams > 0 && grams < MOST * massG ? grams : undefined;
}
