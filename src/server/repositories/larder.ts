import { and, asc, eq, isNull, ne, sql } from 'drizzle-orm';
import { type Ingredient, ingredientSchema, type StoredIngredient } from '@/formats/ingredient';
import { idFromName } from '@/formats/ingredient-id';
import type { Database } from '../db/database';
import { formulaLines, formulas, ingredients } from '../db/schema';
import { readStored } from './stored-value';

type Row = typeof ingredients.$inferSelect;

/** How a change of the larder came out. */
export type LarderOutcome =
  | { readonly outcome: 'kept'; readonly ingredient: StoredIngredient }
  | { readonly outcome: 'nameTaken' }
  | { readonly outcome: 'stale'; readonly current: StoredIngredient }
  | { readonly outcome: 'gone' };

/** A formula that uses an ingredient. */
export interface UsedIn {
  readonly id: string;
  readonly name: string;
}

const BATCH = 500;

function toStored({ position: _, revision, ...row }: Row): StoredIngredient {
  return { ...readStored(ingredientSchema, row, `“${row.name}”`), revision };
}

/** Ingredients read before, by database: a row that has not changed since is not read a second time. */
const readBefore = new WeakMap<Database, Map<string, StoredIngredient>>();

/** Lets go of what was read: the rows have been replaced. */
export function forgetLarder(db: Database): void {
  readBefore.delete(db);
}

/** {@link toStored} for a whole larder, which every page asks for. */
function allStored(db: Database, rows: readonly Row[]): StoredIngredient[] {
  const before = readBefore.get(db);
  const now = new Map<string, StoredIngredient>();
  for (const row of rows) {
    const known = before?.get(row.id);
    now.set(row.id, known?.revision === row.revision ? known : toStored(row));
  }
  readBefore.set(db, now);
  return [...now.values()];
}

/** All ingredients of the larder, in its order. */
export async function listIngredients(db: Database): Promise<StoredIngredient[]> {
  return allStored(db, await db.select().from(ingredients).orderBy(asc(ingredients.position), asc(ingredients.name)));
}

/** One ingredient. */
export async function findIngredient(db: Database, id: string): Promise<StoredIngredient | undefined> {
  const [row] = await db.select().from(ingredients).where(eq(ingredients.id, id));
  return row && toStored(row);
}

/** Puts the starting larder in, all or nothing; what is there already stays as it is. */
export async function stockEmptyLarder(db: Database, starting: readonly Ingredient[]): Promise<void> {
  await db.transaction(async (tx) => {
    const [count] = await tx.select({ n: sql<number>`count(*)::int` }).from(ingredients);
    if ((count?.n ?? 0) > 0) return;
    await tx.insert(ingredients).values(starting.map((ingredient, position) => ({ ...ingredient, position })));
  });
}

/** Brings typical ingredients up to what this version knows of them. Prices, stock and notes are the kitchen's and stay. */
export async function refreshTypical(db: Database, starting: readonly Ingredient[]): Promise<void> {
  await db.transaction(async (tx) => {
    for (const { id, pricePerKg: _, stockG: __, note: ___, ...typical } of starting) {
      await tx
        .update(ingredients)
        .set(typical)
        .where(and(eq(ingredients.id, id), eq(ingredients.origin, 'typical')));
    }
  });
  readBefore.delete(db);
}

async function isNameTaken(db: Database, name: string, exceptId: string): Promise<boolean> {
  const found = await db
    .select({ id: ingredients.id })
    .from(ingredients)
    .where(and(eq(sql`lower(${ingredients.name})`, name.trim().toLowerCase()), ne(ingredients.id, exceptId)));
  return found.length > 0;
}

/** An id made from a name that nothing has yet. */
async function freeId(db: Database, name: string): Promise<string> {
  const wanted = idFromName(name);
  for (let n = 1; ; n++) {
    const id = n === 1 ? wanted : `${wanted}-${n}`;
    if (!(await findIngredient(db, id))) return id;
  }
}

/** Adds an ingredient of the kitchen's own under a new id. */
export async function addIngredient(db: Database, ingredient: Ingredient): Promise<LarderOutcome> {
  return db.transaction(async (tx) => {
    if (await isNameTaken(tx, ingredient.name, '')) return { outcome: 'nameTaken' } as const;
    const [last] = await tx.select({ n: sql<number>`coalesce(max(position), 0)::int` }).from(ingredients);
    const row = {
      ...ingredient,
      id: await freeId(tx, ingredient.name),
      origin: 'own' as const,
      position: (last?.n ?? 0) + 1,
      revision: 1,
    };
    await tx.insert(ingredients).values(row);
    return { outcome: 'kept', ingredient: toStored(row as Row) } as const;
  });
}

/**
 * Changes an ingredient over the revision it was opened at. Of a typical one only price, stock and note change: its composition stays what
 * it is, so that a formula file means the same everywhere.
 */
export async function saveIngredient(
  db: Database,
  id: string,
  revision: number,
  ingredient: Ingredient,
): Promise<LarderOutcome> {
  return db.transaction(async (tx) => {
    const current = await findIngredient(tx, id);
    if (!current) return { outcome: 'gone' } as const;
    if (current.revision !== revision) return { outcome: 'stale', current } as const;
    const { pricePerKg, stockG, note } = ingredient;
    const change =
      current.origin === 'typical'
        ? { pricePerKg, stockG, note }
        : { ...ingredient, id: current.id, origin: current.origin };
    if (current.origin === 'own' && (await isNameTaken(tx, ingredient.name, id)))
      return { outcome: 'nameTaken' } as const;
    const next = { ...current, ...change, revision: revision + 1 };
    await tx.update(ingredients).set(next).where(eq(ingredients.id, id));
    return { outcome: 'kept', ingredient: next } as const;
  });
}

/** The formulas that use each ingredient, deleted ones left out. */
export async function whereUsed(db: Database): Promise<Map<string, UsedIn[]>> {
  const rows = await db
    .selectDistinct({ ingredient: formulaLines.ingredient, id: formulas.id, name: formulas.name })
    .from(formulaLines)
    .innerJoin(formulas, eq(formulas.id, formulaLines.formulaId))
    .where(isNull(formulas.deletedAt))
    .orderBy(asc(formulas.name));
  const used = new Map<string, UsedIn[]>();
  for (const { ingredient, id, name } of rows) used.set(ingredient, [...(used.get(ingredient) ?? []), { id, name }]);
  return used;
}

/** Takes an ingredient of the kitchen's own out of the larder, unless a formula uses it. */
export async function removeIngredient(
  db: Database,
  id: string,
): Promise<'removed' | 'gone' | 'typical' | readonly UsedIn[]> {
  const current = await findIngredient(db, id);
  if (!current) return 'gone';
  if (current.origin === 'typical') return 'typical';
  const used = (await whereUsed(db)).get(id);
  if (used) return used;
  await db.delete(ingredients).where(eq(ingredients.id, id));
  return 'removed';
}

/**
 * Adds and changes many ingredients, all or nothing. What is added is the kitchen's own; of typical ones only price, stock and note change.
 *
 * @param onProgress told how many are done after every few hundred
 */
export async function importIngredients(
  db: Database,
  plan: { readonly add: readonly Ingredient[]; readonly change: readonly Ingredient[] },
  onProgress: (done: number) => void,
): Promise<void> {
  await db.transaction(async (tx) => {
    const [last] = await tx.select({ n: sql<number>`coalesce(max(position), 0)::int` }).from(ingredients);
    let done = 0;
    for (let from = 0; from < plan.add.length; from += BATCH) {
      const batch = plan.add.slice(from, from + BATCH);
      await tx.insert(ingredients).values(
        batch.map((ingredient, i) => ({
          ...ingredient,
          origin: 'own' as const,
          position: (last?.n ?? 0) + 1 + from + i,
        })),
      );
      done += batch.length;
      onProgress(done);
    }
    const typical = new Set(
      (await tx.select({ id: ingredients.id }).from(ingredients).where(eq(ingredients.origin, 'typical'))).map(
        (each) => each.id,
      ),
    );
    for (const { id, origin: _, ...ingredient } of plan.change) {
      const { pricePerKg, stockG, note } = ingredient;
      await tx
        .update(ingredients)
        .set({
          ...(typical.has(id) ? { pricePerKg, stockG, note } : ingredient),
          revision: sql`${ingredients.revision} + 1`,
        })
        .where(eq(ingredients.id, id));
      done += 1;
      if (done % BATCH === 0) onProgress(done);
    }
  });
}
