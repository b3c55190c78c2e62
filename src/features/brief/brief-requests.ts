import { z } from 'zod';
import type { FormulaFile } from '@/formats/formula-file';
import { askServer, RefusedError } from '../../kitchen/client/ask-server';

const createdSchema = z.object({ id: z.string() });

/** Keeps a new formula and returns its id. */
export async function keepNew(formula: FormulaFile): Promise<string> {
  return createdSchema.parse(await askServer('/api/formulas', 'POST', { formula })).id;
}

/** Keeps a state of a formula under a name, so that it can be brought back on the bench. */
export async function keepVersion(id: string, name: string, formula: FormulaFile): Promise<void> {
  await askServer(`/api/formulas/${id}/versions`, 'POST', { name, note: '', formula });
}

/**
 * Saves a formula over the revision it was opened at.
 *
 * @throws {RefusedError} with what to do when another tablet saved meanwhile
 */
export async function keepOver(id: string, revision: number, formula: FormulaFile): Promise<void> {
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
