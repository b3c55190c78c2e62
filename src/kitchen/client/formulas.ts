import type { FormulaFile, FormulaFileInput } from '@/formats/formula-file';
import {
  createdSchema,
  type Named,
  namesSchema,
  type StoredFormula,
  storedFormulaSchema,
  variantsSchema,
} from '@/formats/server-answers';
import { askOnce, askServer, RefusedError } from './ask-server';

/** One formula. */
export async function fetchFormula(id: string): Promise<StoredFormula> {
  return storedFormulaSchema.parse(await askServer(`/api/formulas/${id}`, 'GET'));
}

/** The names of all formulas, the last changed first. */
export async function listNames(): Promise<Named[]> {
  return namesSchema.parse(await askServer('/api/library/names', 'GET')).formulas;
}

/**
 * Keeps a new formula and returns its id.
 *
 * @param baseId makes it a variant of that one
 */
export async function createFormula(formula: FormulaFileInput, baseId?: string): Promise<string> {
  return createdSchema.parse(await askOnce('/api/formulas', 'POST', { formula, baseId })).id;
}

/** Keeps a copy of a formula under a name of its own and returns its id. */
export async function copyFormula(id: string): Promise<string> {
  const { file } = await fetchFormula(id);
  return createFormula({ ...file, name: `${file.name.slice(0, 113)}, copy` });
}

/**
 * Saves a formula over the revision it was opened at.
 *
 * @throws {RefusedError} with what to do when another tablet saved meanwhile
 */
export async function saveOver(id: string, revision: number, formula: FormulaFile): Promise<void> {
  try {
    await askServer(`/api/formulas/${id}`, 'PUT', { revision, formula });
  } catch (error) {
    if (error instanceof RefusedError && error.status === 409) {
      throw new RefusedError(
        'Another tablet saved this formula meanwhile. Nothing was overwritten and your brief is kept here: reload to see theirs, then open again.',
        409,
      );
    }
    throw error;
  }
}

/** Puts a formula away, or takes it out again. */
export async function archiveFormula(id: string, archived: boolean): Promise<void> {
  await askServer(`/api/formulas/${id}/archive`, 'PUT', { archived });
}

export async function deleteFormula(id: string): Promise<void> {
  await askOnce(`/api/formulas/${id}`, 'DELETE');
}

export async function restoreFormula(id: string): Promise<void> {
  await askServer(`/api/formulas/${id}/restore`, 'POST');
}

/** The model moved the figures of a formula, and the cook knows. */
export async function sawFigures(id: string): Promise<void> {
  await askServer(`/api/formulas/${id}/figures-seen`, 'POST');
}

/** The variants of a formula, by name. */
export async function listVariants(id: string): Promise<StoredFormula[]> {
  return variantsSchema.parse(await askServer(`/api/formulas/${id}/variants`, 'GET')).variants;
}
