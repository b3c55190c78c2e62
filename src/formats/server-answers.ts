import { z } from 'zod';
import { formulaFileSchema } from './formula-file';
import { ingredientSchema } from './ingredient';
import { comparisonSchema } from './library-file';

/*
 * What the server gives: written by its routes, read by its pages. One shape of each thing, declared once.
 */

/** A formula as kept: the contents of a formula file, with the number of times it was saved. */
export const storedFormulaSchema = z.object({
  id: z.string(),
  revision: z.number(),
  /** ISO 8601 */
  updatedAt: z.string(),
  /** the formula it is a variant of */
  baseId: z.string().nullable(),
  archived: z.boolean(),
  /** revision of the model whose figures a cook has seen of it */
  modelRevision: z.number(),
  file: formulaFileSchema,
});
export type StoredFormula = z.output<typeof storedFormulaSchema>;

/** A named state of a formula. */
export const storedVersionSchema = z.object({
  id: z.string(),
  name: z.string(),
  note: z.string(),
  /** ISO 8601 */
  createdAt: z.string(),
  /** kept by itself, for a while */
  automatic: z.boolean(),
  file: formulaFileSchema,
});
export type StoredVersion = z.output<typeof storedVersionSchema>;

/** A save that was kept. */
export const savedSchema = z.object({ revision: z.number(), updatedAt: z.string() });

/** A save that came too late: what is kept now. */
export const staleSchema = z.object({ current: storedFormulaSchema });

/** Why something was not done, in a cook's words, with the fields it points at. */
export const refusedSchema = z.object({
  message: z.string(),
  issues: z.array(z.object({ path: z.string(), message: z.string() })).default([]),
});

/** Something that is kept and has a name. */
export const namedSchema = z.object({ id: z.string(), name: z.string() });
export type Named = z.output<typeof namedSchema>;

/** What was added from a file of formulas, or what of it is here already. */
export const addedSchema = z.union([z.object({ ids: z.array(z.string()) }), z.object({ here: comparisonSchema })]);
export type Added = z.output<typeof addedSchema>;

export const createdSchema = z.object({ id: z.string() });
export const versionsSchema = z.object({ versions: z.array(storedVersionSchema) });
export const variantsSchema = z.object({ variants: z.array(storedFormulaSchema) });
export const namesSchema = z.object({ formulas: z.array(namedSchema) });
export const usesSchema = z.object({ usedIn: z.array(namedSchema) });
export const keptIngredientSchema = z.object({ ingredient: ingredientSchema });
