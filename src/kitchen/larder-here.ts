import type { KitchenKnowledge } from '@/core/learn/kitchen';
import type { Ingredient } from '@/formats/ingredient';
import type { Larder } from './known-item';

/**
 * A larder by id, and how this kitchen pours: what is resolved with it reckons with the kitchen's own tests.
 *
 * @param pours nothing for figures as the book has them
 */
export function larderHere(ingredients: readonly Ingredient[], pours: KitchenKnowledge | undefined): Larder {
  return Object.assign(new Map(ingredients.map((each) => [each.id, each])), pours ? { pours } : {});
}
