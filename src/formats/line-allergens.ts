import { type Allergen, inOrder, isRecognised } from '@/core/matter/allergens';
import { recogniseAllergens } from './allergen-words';
import type { Ingredient } from './ingredient';

/**
 * Allergens that a line of a recipe would bring: those of the ingredient it means, and those its own words name.
 *
 * @param line as it was pasted
 * @param ingredient what it is taken for, where that is known
 * @example lineAllergens('handful of chopped hazelnuts', undefined) // ['nuts (hazelnut)']
 */
export function lineAllergens(line: string, ingredient: Pick<Ingredient, 'allergens'> | undefined): Allergen[] {
  const words = line.split(/[^\p{L}\p{M}]+/u).filter((word) => word.length > 2);
  const pairs = words.slice(1).map((word, i) => `${words[i]} ${word}`);
  const named = recogniseAllergens([...words, ...pairs]).contains;
  return inOrder(new Set([...named, ...(ingredient?.allergens ?? [])].filter(isRecognised)));
}
