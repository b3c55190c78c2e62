import { z } from 'zod';
import type { FormulaFileInput } from '@/formats/formula-file';
import { comparisonSchema, type LibraryFile, type TAKES } from '@/formats/library-file';
import { askServer } from '../../kitchen/client/ask-server';
import type { FormulaSummary } from '../../kitchen/formula-summary';

const createdSchema = z.object({ id: z.string() });
const addedSchema = z.union([z.object({ ids: z.array(z.string()) }), z.object({ here: comparisonSchema })]);

export type Take = (typeof TAKES)[number];
const summariesSchema = z.object({ formulas: z.array(z.custom<FormulaSummary>((each) => each instanceof Object)) });
const storedSchema = z.object({ file: z.looseObject({ name: z.string() }) });

/** All formulas as their cards show them. */
export async function fetchSummaries(): Promise<readonly FormulaSummary[]> {
  return summariesSchema.parse(await askServer('/api/library/summaries', 'GET')).formulas;
}

/** Keeps a new formula and returns its id. */
export async function createFormula(formula: FormulaFileInput): Promise<string> {
  return createdSchema.parse(await askServer('/api/formulas', 'POST', { formula })).id;
}

/**
 * Keeps all formulas of a file, or none of them.
 *
 * @returns their ids; or what of them is here already, where nobody said yet what to do with those
 */
export async function keepLibrary(library: LibraryFile, take?: Take): Promise<z.output<typeof addedSchema>> {
  return addedSchema.parse(await askServer('/api/library', 'POST', { ...library, take }));
}

/** Keeps a copy of a formula under a name of its own and returns its id. */
export async function copyFormula(id: string): Promise<string> {
  const { file } = storedSchema.parse(await askServer(`/api/formulas/${id}`, 'GET'));
  const name = `${file.name.slice(0, 113)}, copy`;
  return createFormula({ ...(file as unknown as FormulaFileInput), name });
}

/** Puts a formula away, or takes it out again. */
export async function archiveFormula(id: string, archived: boolean): Promise<void> {
  await askServer(`/api/formulas/${id}/archive`, 'PUT', { archived });
}

export async function deleteFormula(id: string): Promise<void> {
  await askServer(`/api/formulas/${id}`, 'DELETE');
}

export async function restoreFormula(id: string): Promise<void> {
  await askServer(`/api/formulas/${id}/restore`, 'POST');
}
