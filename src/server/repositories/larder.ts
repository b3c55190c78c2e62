import { and, asc, eq, inArray, isNull, ne, sql } from 'drizzle-orm';
import { type Ingredient, ingredientSchema, type StoredIngredient } from '@/formats/ingredient';
import { idFromName } from '@/formats/ingredient-id';
import type { Named } from '@/formats/server-answers';
import type { Database } from '../db/query-builder';
import { formulaLines, formulas, ingredients } from '../db/schema';
import { readOnce, rowStamp } from './read-before';
import { readStored } from './stored-value';

type Row = typeof ingredients.$inferSelect;

/** How a change of the larder came out. */
export type LarderOutcome =
  | { readonly outcome: 'kept'; readonly ingredient: StoredIngredient }
  | { readonly outcome: 'nameTaken' }
  | { readonly outcome: 'stale'; readonly current: StoredIngredient }
  | { readonly outcome: 'gone' };

const BATCH = 500;

function toStored({ position: _, revision, ...row }: Row): StoredIngredient {
  return { ...readStored(ingredientSchema, row, `“${row.name}”`), revision };
}

const ingredientsReadOnce = readOnce(async (db: Database, ids: string[]) => {
  const rows = await db.select().from(ingredients).where(inArray(ingredients.id, ids));
  return new Map(rows.map((row) => [row.id, toStored(row)]));
});

/** All ingredients of the larder, in its order. */
export async function listIngredients(db: Database): Promise<StoredIngredient[]> {
  const heads = await db
    .select({ id: ingredients.id, stamp: rowStamp })
    .from(ingredients)
    .orderBy(asc(ingredients.position), asc(ingredients.name));
  return ingredientsReadOnce(db, heads, true);
}

/** How many ingredients the larder has. */
export async function countIngredients(db: Database): Promise<number> {
  return db.$count(ingredients);
}

/** Those of some ids that the larder has, in any order. */
export async function someIngredients(db: Database, ids: readonly string[]): Promise<StoredIngredient[]> {
  if (ids.length === 0) return [];
  const heads = await db
    .select({ id: ingredients.id, stamp: rowStamp })
    .from(ingredients)
    .where(inArray(ingredients.id, [...new Set(ids)]));
  return ingredientsReadOnce(db, heads, false);
}

/** One ingredient. */
export async function findIngredient(db: Database, id: string): Promise<StoredIngredient | undefined> {
  const [row] = await db.select().from(ingredients).where(eq(ingredients.id, id));
  return row && toStored(row);
}

/** Puts the starting larder in, all or nothing; what is there already stays as it is. */
export async function stockEmptyLarder(db: Database, starting: readonly Ingredient[]): Promise<void> {
  await db.transaction(async (tx) => {
    await lockLarder(tx);
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

/** One at a time changes what the larder has: names are looked up first and written then. */
async function lockLarder(tx: Database): Promise<void> {
  await tx.execute(sql`select pg_advisory_xact_lock(hashtext('larder'))`);
}

/** Adds an ingredient of the kitchen's own under a new id. */
export async function addIngredient(db: Database, ingredient: Ingredient): Promise<LarderOutcome> {
  return db.transaction(async (tx) => {
    await lockLarder(tx);
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

/** Adds ingredients that a file of formulas brings, under their ids; those the larder knows by id or name stay as they are. */
export async function addKnownIngredients(tx: Database, brought: readonly Ingredient[]): Promise<void> {
  if (brought.length === 0) return;
  await lockLarder(tx);
  const [last] = await tx.select({ n: sql<number>`coalesce(max(position), 0)::int` }).from(ingredients);
  for (const [i, ingredient] of brought.entries()) {
    if (await findIngredient(tx, ingredient.id)) continue;
    const name = (await isNameTaken(tx, ingredient.name, ingredient.id))
      ? `${ingredient.name.slice(0, 100)} (${ingredient.id.slice(0, 16)})`
      : ingredient.name;
    await tx.insert(ingredients).values({ ...ingredient, name, origin: 'own', position: (last?.n ?? 0) + 1 + i });
  }
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
    await lockLarder(tx);
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

/** The formulas that use an ingredient, deleted ones left out, by name. */
export async function usesOf(db: Database, id: string): Promise<Named[]> {
  return db
    .selectDistinct({ id: formulas.id, name: formulas.name })
    .from(formulaLines)
    .innerJoin(formulas, eq(formulas.id, formulaLines.formulaId))
    .where(and(eq(formulaLines.ingredient, id), isNull(formulas.deletedAt)))
    .orderBy(asc(formulas.name));
}

/** Takes an ingredient of the kitchen's own out of the larder, unless a formula uses it. */
export async function removeIngredient(
  db: Database,
  id: string,
): Promise<'removed' | 'gone' | 'typical' | readonly Named[]> {
  return db.transaction(async (tx) => {
    await lockLarder(tx);
    const current = await findIngredient(tx, id);
    if (!current) return 'gone';
    if (current.origin === 'typical') return 'typical';
    const used = await usesOf(tx, id);
    if (used.length > 0) return used;
    await tx.delete(ingredients).where(eq(ingredients.id, id));
    return 'removed';
  });
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
    await lockLarder(tx);
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
