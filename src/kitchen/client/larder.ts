import { z } from 'zod';
import type { Ingredient } from '@/formats/ingredient';
import { askServer } from './ask-server';

const usesSchema = z.object({ usedIn: z.array(z.object({ id: z.string(), name: z.string() })) });

/** The formulas that use an ingredient, by name. */
export async function fetchUses(id: string): Promise<readonly { id: string; name: string }[]> {
  return usesSchema.parse(await askServer(`/api/larder/${encodeURIComponent(id)}/uses`, 'GET')).usedIn;
}

/** Adds an ingredient of the kitchen's own. */
export async function addIngredient(ingredient: Ingredient): Promise<void> {
  await askServer('/api/larder', 'POST', { ingredient });
}

/** Changes an ingredient over the revision it was opened at. */
export async function saveIngredient(ingredient: Ingredient, revision: number): Promise<void> {
  await askServer(`/api/larder/${encodeURIComponent(ingredient.id)}`, 'PUT', { revision, ingredient });
}

/** Takes an ingredient of the kitchen's own out. */
export async function removeIngredient(id: string): Promise<void> {
  await askServer(`/api/larder/${encodeURIComponent(id)}`, 'DELETE');
}
