import { z } from 'zod';
import type { StoredIngredient } from '@/formats/ingredient';
import type { OwnFormula } from '../brief/brief-candidates';
import { askServer } from './ask-server';

// What our own server has read by its schemas is not read by them a second time: a big kitchen has thousands.
const ingredientsSchema = z.object({
  ingredients: z.array(z.custom<StoredIngredient>((row) => row instanceof Object)),
});
const formulasSchema = z.object({
  formulas: z.array(z.custom<OwnFormula & { readonly archived: boolean }>((row) => row instanceof Object)),
});

/** All ingredients of the larder, in its order. */
export async function fetchLarder(): Promise<readonly StoredIngredient[]> {
  return ingredientsSchema.parse(await askServer('/api/larder/rows', 'GET')).ingredients;
}

/** All formulas that are not put away. */
export async function fetchFormulas(): Promise<readonly OwnFormula[]> {
  const { formulas } = formulasSchema.parse(await askServer('/api/formulas', 'GET'));
  return formulas.filter(({ archived }) => !archived).map(({ id, file }) => ({ id, file }));
}
