import { resolveFormula } from '@/formats/resolve-formula';
import { itemOf } from '@/kitchen/known-item';
import { readStove } from '@/kitchen/method/stove-query';
import { kitchenOf, workFile, workMethod } from '@/kitchen/method/work-method';
import type { Database } from './db/query-builder';
import { findFormula } from './repositories/formulas';
import { someIngredients } from './repositories/larder';

/**
 * The method of a formula, worked out for the stove a link carries, else for the usual one. Its steps and minutes are the same in every kitchen.
 *
 * @returns nothing where the formula is gone; no method where a row is unknown or no way suits it
 */
export async function methodOf(db: Database, id: string, query: URLSearchParams) {
  const file = (await findFormula(db, id))?.file;
  if (!file) return undefined;
  const used = file.lines.map(({ ingredient }) => ingredient);
  const larder = new Map((await someIngredients(db, used)).map((each) => [each.id, each]));
  const nameOf = (ingredient: string) => itemOf(file, larder, ingredient)?.name ?? ingredient;
  if (used.some((ingredient) => itemOf(file, larder, ingredient) === undefined)) return { file, nameOf };
  const here = readStove(query);
  const worked = here
    ? workMethod(file, resolveFormula(file, larder, 'standard'), kitchenOf(file, here.kitchenC, here.stove))
    : workFile(file, larder, 'standard');
  return { file, nameOf, worked };
}
