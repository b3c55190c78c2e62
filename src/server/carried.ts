import type { StoredIngredient } from '@/formats/ingredient';
import type { OwnFormula } from '@/kitchen/brief/brief-candidates';
import type { Carried } from '@/kitchen/use-whole';
import type { Database } from './db/query-builder';
import { countFormulas, listFormulas } from './repositories/formula-list';
import { countIngredients, listIngredients, someIngredients } from './repositories/larder';

/** Ingredients and formulas up to which a page carries them all; of more it carries what it needs at once. */
const MOST_INGREDIENTS = 250;
const MOST_FORMULAS = 25;

/**
 * The larder for a page.
 *
 * @param needed ids of the ingredients it cannot be drawn without
 */
export async function larderFor(db: Database, needed: readonly string[]): Promise<Carried<StoredIngredient>> {
  const isWhole = (await countIngredients(db)) <= MOST_INGREDIENTS;
  return { rows: isWhole ? await listIngredients(db) : await someIngredients(db, needed), isWhole };
}

/**
 * The formulas a brief may start from.
 *
 * @param own the one it belongs to, put away or not
 */
export async function shelfFor(db: Database, own: OwnFormula | undefined): Promise<Carried<OwnFormula>> {
  if ((await countFormulas(db)) > MOST_FORMULAS) return { rows: own ? [own] : [], isWhole: false };
  const all = await listFormulas(db);
  const rows = all.filter(({ archived, id }) => !archived || id === own?.id).map(({ id, file }) => ({ id, file }));
  return { rows, isWhole: true };
}
