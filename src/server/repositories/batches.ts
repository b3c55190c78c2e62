import { randomUUID } from 'node:crypto';
import { and, desc, eq, max } from 'drizzle-orm';
import type { BatchHead, FrozenBatch } from '@/formats/batch';
import type { Database } from '../db/query-builder';
import { batches } from '../db/schema';
import { HEAD, toHead } from './batch-rows';

/** Times a number is asked for again where another tablet began a batch at the same moment. */
const MOST_TRIES = 5;

/** Begins a batch; its number is the kitchen's next. */
export async function beginBatch(
  db: Database,
  formulaId: string,
  frozen: FrozenBatch,
  now: Date,
): Promise<Pick<BatchHead, 'id' | 'number'>> {
  for (let left = MOST_TRIES; ; left--) {
    const [last] = await db.select({ number: max(batches.number) }).from(batches);
    const row = { id: randomUUID(), number: (last?.number ?? 0) + 1, formulaId, name: frozen.file.name };
    const begun = await db
      .insert(batches)
      .values({ ...row, frozen, state: 'running', startedAt: now })
      .onConflictDoNothing({ target: batches.number })
      .returning({ id: batches.id, number: batches.number });
    if (begun[0]) return begun[0];
    if (left <= 1) throw new Error('every number was taken at the same moment');
  }
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
