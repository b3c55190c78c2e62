import { and, eq, isNull, ne } from 'drizzle-orm';
import { summarise } from '@/kitchen/record/summary';
import type { Database } from '../db/query-builder';
import { batches } from '../db/schema';
import { eventsAfter, findBatch } from './batch-rows';

/** Works out what a batch that is over comes to, and keeps it as its line in the book. */
export async function writeSummary(db: Pick<Database, 'select' | 'update'>, id: string): Promise<void> {
  const found = await findBatch(db, id);
  if (!found) return;
  const { overMs, ...summary } = summarise(found.head, found.frozen, await eventsAfter(db, id, 0));
  await db
    .update(batches)
    .set({ ...summary, overAt: new Date(overMs) })
    .where(eq(batches.id, id));
}

/** Most lines that are brought up to date in one go. */
const MOST_AT_ONCE = 500;

/** Lines that are missing, as after an update or an older backup, are worked out. */
export async function writeMissing(db: Database): Promise<void> {
  const missing = await db
    .select({ id: batches.id })
    .from(batches)
    .where(and(ne(batches.state, 'running'), isNull(batches.summarisedSeq)))
    .limit(MOST_AT_ONCE);
  for (const { id } of missing) await writeSummary(db, id);
}
