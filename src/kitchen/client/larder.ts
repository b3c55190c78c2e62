import type { Ingredient } from '@/formats/ingredient';
import { keptIngredientSchema, type Named, usesSchema } from '@/formats/server-answers';
import { askOnce, askServer } from './ask-server';

/** The formulas that use an ingredient, by name. */
export async function fetchUses(id: string): Promise<readonly Named[]> {
  return usesSchema.parse(await askServer(`/api/larder/${encodeURIComponent(id)}/uses`, 'GET')).usedIn;
}

/** Adds an ingredient of the kitchen's own and returns it as kept. */
export async function addIngredient(ingredient: Ingredient): Promise<Ingredient> {
  return keptIngredientSchema.parse(await askOnce('/api/larder', 'POST', { ingredient })).ingredient;
}

/** Changes an ingredient over the revision it was opened at. */
export async function saveIngredient(ingredient: Ingredient, revision: number): Promise<void> {
  await askOnce(`/api/larder/${encodeURIComponent(ingredient.id)}`, 'PUT', { revision, ingredient });
}

/** Takes an ingredient of the kitchen's own out. */
export async function removeIngredient(id: string): Promise<void> {
  await askOnce(`/api/larder/${encodeURIComponent(id)}`, 'DELETE');
}
