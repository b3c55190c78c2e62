import { randomUUID } from 'node:crypto';
import { and, desc, eq, max, sql } from 'drizzle-orm';
import type { BatchHead, FrozenBatch } from '@/formats/batch';
import type { Database } from '../db/query-builder';
import { batches } from '../db/schema';
import { HEAD, toHead } from './batch-rows';

/** Begins a batch; its number is the kitchen's next, however many are begun at once. */
export async function beginBatch(
  db: Database,
  formulaId: string,
  frozen: FrozenBatch,
  now: Date,
): Promise<Pick<BatchHead, 'id' | 'number'>> {
  return db.transaction(async (tx) => {
    await tx.execute(sql`select pg_advisory_xact_lock(hashtext('batch numbers'))`);
    const [last] = await tx.select({ number: max(batches.number) }).from(batches);
    const begun = { id: randomUUID(), number: (last?.number ?? 0) + 1 };
    const row = { ...begun, formulaId, name: frozen.file.name, frozen, startedAt: now };
    await tx.insert(batches).values({ ...row, state: 'running' });
    return begun;
  });
}

/** Batches that are not over, the last begun first. */
export async function runningBatches(db: Database): Promise<BatchHead[]> {
  const rows = await db.select(HEAD).from(batches).where(eq(batches.state, 'running')).orderBy(desc(batches.startedAt));
  return rows.map(toHead);
}

/** The batch of a formula that was begun last and is not over. */
export async function runningBatchOf(db: Database, formulaId: string): Promise<BatchHead | undefined> {
  const [row] = await db
    .select(HEAD)
    .from(batches)
    .where(and(eq(batches.formulaId, formulaId), eq(batches.state, 'running')))
    .orderBy(desc(batches.startedAt))
    .limit(1);
  return row && toHead(row);
}
