import { asc, sql } from 'drizzle-orm';
import type { Ingredient } from '@/formats/ingredient';
import type { Database } from '../db/database';
import { ingredients } from '../db/schema';

/** All ingredients of the larder, in its order. */
export async function listIngredients(db: Database): Promise<Ingredient[]> {
  const rows = await db.select().from(ingredients).orderBy(asc(ingredients.position));
  return rows.map(({ position: _, ...ingredient }) => ingredient);
}

/** Puts the starting larder in, all or nothing, unless the larder already holds something. */
export async function stockEmptyLarder(db: Database, starting: readonly Ingredient[]): Promise<void> {
  await db.transaction(async (tx) => {
    const [count] = await tx.select({ n: sql<number>`count(*)::int` }).from(ingredients);
    if ((count?.n ?? 0) > 0) return;
    await tx.insert(ingredients).values(starting.map((ingredient, position) => ({ ...ingredient, position })));
  });
}
