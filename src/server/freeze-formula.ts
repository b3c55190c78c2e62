import type { z } from 'zod';
import type { FrozenBatch, newBatchSchema } from '@/formats/batch';
import { freezeBatch } from '@/kitchen/cook/freeze';
import { larderHere } from '@/kitchen/larder-here';
import type { Database } from './db/query-builder';
import { RequestError } from './read-request';
import { findFormula } from './repositories/formulas';
import { kitchenPours } from './repositories/kitchen-tests';
import { someIngredients } from './repositories/larder';

/**
 * Freezes a kept formula for a batch, as this kitchen pours or by the book.
 *
 * @throws {RequestError} it is gone, or no batch can be made of it
 */
export async function freezeFormula(db: Database, asked: z.output<typeof newBatchSchema>): Promise<FrozenBatch> {
  const formula = await findFormula(db, asked.formulaId);
  if (!formula) throw new RequestError(404, 'This formula was deleted, or never was here.');
  const used = formula.file.lines.map(({ ingredient }) => ingredient);
  const pours = asked.asBook ? undefined : await kitchenPours(db);
  const frozen = freezeBatch(formula.file, larderHere(await someIngredients(db, used), pours), asked);
  if (!frozen) {
    throw new RequestError(
      409,
      'No batch can be made of it yet: a row is unknown, or no way of working suits what is in the pan.',
    );
  }
  return frozen;
}
