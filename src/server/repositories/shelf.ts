import { randomUUID } from 'node:crypto';
import { and, asc, eq, gt, gte, sql } from 'drizzle-orm';
import { type PutAway, type ShelfItem, shelfItemSchema, type Take } from '@/formats/shelf';
import type { Database } from '../db/query-builder';
import { batches, shelfItems } from '../db/schema';
import { readStored } from './stored-value';

/** What is gone is gone: less than this is nothing, g. */
const TRACE_G = 0.05;

/** What stands on the shelf: by its use-by, what has none behind, the oldest first. */
export async function listShelf(db: Database): Promise<ShelfItem[]> {
  const rows = await db
    .select()
    .from(shelfItems)
    .where(gt(shelfItems.leftG, TRACE_G))
    .orderBy(sql`${shelfItems.useBy} asc nulls last`, asc(shelfItems.madeOn), asc(shelfItems.putAt));
  return rows.map((row) => readStored(shelfItemSchema, row, `“${row.name}” on the shelf`));
}

/** Puts something away. */
export async function putAway(db: Database, item: PutAway, now: Date): Promise<string> {
  const id = randomUUID();
  const [batch] = item.batchId
    ? await db.select({ number: batches.number }).from(batches).where(eq(batches.id, item.batchId))
    : [];
  await db.insert(shelfItems).values({
    ...item,
    id,
    batchId: batch ? item.batchId : null,
    batchNumber: batch?.number ?? null,
    leftG: item.grams,
    putAt: now,
  });
  return id;
}

/** What became of a wish to take something. */
export type Taken =
  | { readonly outcome: 'taken'; readonly leftG: number }
  | { readonly outcome: 'tooMuch'; readonly leftG: number }
  | { readonly outcome: 'gone' };

/** Takes from it what is used or thrown away; never more than there is, whoever takes at the same moment. */
export async function takeFrom(db: Database, id: string, { fate, grams }: Take): Promise<Taken> {
  const [after] = await db
    .update(shelfItems)
    .set({
      leftG: sql`greatest(${shelfItems.leftG} - ${grams}, 0)`,
      ...(fate === 'thrown' ? { thrownG: sql`${shelfItems.thrownG} + ${grams}` } : {}),
    })
    .where(and(eq(shelfItems.id, id), gte(shelfItems.leftG, grams - TRACE_G)))
    .returning({ leftG: shelfItems.leftG });
  if (after) return { outcome: 'taken', leftG: after.leftG };
  const [now] = await db.select({ leftG: shelfItems.leftG }).from(shelfItems).where(eq(shelfItems.id, id));
  return now ? { outcome: 'tooMuch', leftG: now.leftG } : { outcome: 'gone' };
}
