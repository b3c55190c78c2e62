import { type FormulaFile, formulaFileSchema } from '@/formats/formula-file';
import { refusedSchema, savedSchema, staleSchema, storedFormulaSchema } from '@/formats/server-answers';

/*
 * What the server answers to a save, and what was kept on the tablet, read with care. These are loaded after the bench: reading schemas
 * are a good part of the script of a first visit.
 */

export const readSaved = (body: unknown) => savedSchema.parse(body);
export const readStored = (body: unknown) => storedFormulaSchema.parse(body);
export const readStale = (body: unknown) => staleSchema.parse(body).current;
export const readRefused = (body: unknown) => refusedSchema.parse(body).message;

/** Work kept on the tablet; nothing when it cannot be read. */
export function readKept(formula: unknown): FormulaFile | undefined {
  const kept = formulaFileSchema.safeParse(formula);
  return kept.success ? kept.data : undefined;
}

/** Text of a formula in the schema's own order, so that equal formulas read the same. */
export const canonical = (value: unknown) => JSON.stringify(formulaFileSchema.parse(value));
