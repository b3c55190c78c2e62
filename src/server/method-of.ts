import { USUAL_KITCHEN } from '@/core/pan/vessel';
import type { FormulaFile } from '@/formats/formula-file';
import type { Ingredient } from '@/formats/ingredient';
import { resolveFormula } from '@/formats/resolve-formula';
import { itemOf, larderOf } from '@/kitchen/known-item';
import { keyed, knownPan } from '@/kitchen/known-pan';
import { keyOfQuestion, proposalFor } from '@/kitchen/method/proposals';
import { readStove } from '@/kitchen/method/stove-query';
import { kitchenOf, wayQuestion, workFile, workMethod } from '@/kitchen/method/work-method';
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

/** What is proposed for a formula in a usual kitchen, with the question it answers; rows nobody knows are left out. Nothing where a way is chosen. */
export function usualProposal(file: FormulaFile, ingredients: readonly Ingredient[]) {
  if (file.method) return undefined;
  const pan = knownPan(keyed(file), larderOf(ingredients), 'standard');
  const question = wayQuestion(
    { ...file, lines: file.lines.filter(({ ingredient }) => !pan.unknown.includes(ingredient)) },
    pan.formula,
    kitchenOf(file, USUAL_KITCHEN.kitchenC),
  );
  return { key: keyOfQuestion(question), proposal: proposalFor(question) };
}
