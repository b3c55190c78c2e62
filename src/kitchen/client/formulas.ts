import { z } from 'zod';
import { type FormulaFile, formulaFileSchema } from '@/formats/formula-file';
import { type Ingredient, ingredientSchema } from '@/formats/ingredient';
import { askServer } from './ask-server';

const versionSchema = z.object({
  id: z.string(),
  name: z.string(),
  note: z.string(),
  createdAt: z.string(),
  file: formulaFileSchema,
});
const storedSchema = z.object({
  id: z.string(),
  baseId: z.string().nullable(),
  archived: z.boolean(),
  file: formulaFileSchema,
});

const namesSchema = z.object({ formulas: z.array(z.object({ id: z.string(), name: z.string() })) });

export type Version = z.output<typeof versionSchema>;
export type Stored = z.output<typeof storedSchema>;

/** The model moved the figures of a formula, and the cook knows. */
export async function sawFigures(id: string): Promise<void> {
  await askServer(`/api/formulas/${id}/figures-seen`, 'POST');
}

/** The versions of a formula, the newest first. */
export async function listVersions(id: string): Promise<Version[]> {
  const answer = await askServer(`/api/formulas/${id}/versions`, 'GET');
  return z.object({ versions: z.array(versionSchema) }).parse(answer).versions;
}

/** Keeps a state of the formula under a name. */
export async function addVersion(id: string, name: string, note: string, formula: FormulaFile): Promise<void> {
  await askServer(`/api/formulas/${id}/versions`, 'POST', { name, note, formula });
}

/** Lets a version go. */
export async function removeVersion(id: string, version: string): Promise<void> {
  await askServer(`/api/formulas/${id}/versions/${version}`, 'DELETE');
}

/** The variants of a formula, by name. */
export async function listVariants(id: string): Promise<Stored[]> {
  const answer = await askServer(`/api/formulas/${id}/variants`, 'GET');
  return z.object({ variants: z.array(storedSchema) }).parse(answer).variants;
}

/** One formula. */
export async function fetchFormula(id: string): Promise<Stored> {
  return storedSchema.parse(await askServer(`/api/formulas/${id}`, 'GET'));
}

/** The names of all formulas, the last changed first. */
export async function listNames(): Promise<{ id: string; name: string }[]> {
  return namesSchema.parse(await askServer('/api/library/names', 'GET')).formulas;
}

/** Keeps a new variant of a formula and returns its id. */
export async function createVariant(baseId: string, formula: FormulaFile): Promise<string> {
  return z.object({ id: z.string() }).parse(await askServer('/api/formulas', 'POST', { formula, baseId })).id;
}

/** Adds an ingredient of the kitchen's own to the larder and returns it as kept. */
export async function addIngredient(ingredient: Ingredient): Promise<Ingredient> {
  const answer = await askServer('/api/larder', 'POST', { ingredient });
  return z.object({ ingredient: ingredientSchema }).parse(answer).ingredient;
}
