import type { z } from 'zod';
import { calibrationOf } from '@/core/learn/kitchen';
import type { FrozenBatch, newBatchSchema } from '@/formats/batch';
import { freezeBatch } from '@/kitchen/cook/freeze';
import { larderOf } from '@/kitchen/known-item';
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
  const knowledge = asked.asBook ? undefined : await kitchenPours(db);
  const larder = larderOf(await someIngredients(db, used));
  const frozen = freezeBatch(formula.file, larder, calibrationOf(knowledge, asked.formulaId), asked);
  if (!frozen) {
    throw new RequestError(
      409,
      'No batch can be made of it yet: a row is unknown, or no way of working suits what is in the pan.',
    );
  }
  return frozen;
}
