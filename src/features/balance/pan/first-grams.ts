import { gramsOfOne } from '@/core/matter/measures';
import type { Ingredient } from '@/formats/ingredient';

/** A flavour that holds less water than this is a spice or a salt: it goes in by the pinch, g in 100 g. */
const DRY_BELOW = 20;
const PINCH_G = 0.3;
/** What gels or thickens the whole batch by itself. */
const GELS = ['gelatin', 'agar', 'pectin', 'gums'] as const;
const isGel = ({ components }: Ingredient) => GELS.reduce((sum, each) => sum + (components[each] ?? 0), 0) > 50;
const isSpice = ({ group, components }: Ingredient) => group === 'flavour' && (components.water ?? 0) < DRY_BELOW;

/**
 * Grams a new row starts with: a twentieth of the batch, a round number; of a gel a two-hundredth, of a spice or a salt a pinch.
 *
 * @param totalG what is in the pan, g
 */
export function firstGrams(totalG: number, ingredient: Ingredient): number {
  if (isSpice(ingredient)) return Math.max(Math.round((gramsOfOne(ingredient, 'pinch') ?? PINCH_G) * 10) / 10, 0.1);
  if (isGel(ingredient)) return Math.max(Math.round(totalG / 100) / 2, 0.5);
  return totalG === 0 ? 200 : Math.max(Math.round(totalG / 100) * 5, 5);
}
