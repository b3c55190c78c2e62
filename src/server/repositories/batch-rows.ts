import { and, asc, eq, gt } from 'drizzle-orm';
import {
  type BatchEvent,
  type BatchHead,
  batchEventSchema,
  type FrozenBatch,
  frozenBatchSchema,
} from '@/formats/batch';
import type { Database } from '../db/query-builder';
import { batchEvents, batches } from '../db/schema';
import { readStored } from './stored-value';

/** Columns of a batch without what it is made of. */
export const HEAD = {
  id: batches.id,
  number: batches.number,
  formulaId: batches.formulaId,
  name: batches.name,
  startedAt: batches.startedAt,
  state: batches.state,
};

type HeadRow = Omit<BatchHead, 'startedMs'> & { readonly startedAt: Date };
export const toHead = ({ startedAt, ...rest }: HeadRow): BatchHead => ({ ...rest, startedMs: startedAt.getTime() });

/** A batch without its log. */
export async function findBatch(
  db: Pick<Database, 'select'>,
  id: string,
): Promise<{ readonly head: BatchHead; readonly frozen: FrozenBatch } | undefined> {
  const [row] = await db.select().from(batches).where(eq(batches.id, id));
  if (!row) return undefined;
  const { frozen, id: _, ...rest } = row;
  return { head: toHead({ id, ...rest }), frozen: readStored(frozenBatchSchema, frozen, `Batch ${row.number}`) };
}

/** Events of a batch from one on. */
export async function eventsAfter(db: Pick<Database, 'select'>, batchId: string, after: number): Promise<BatchEvent[]> {
  const rows = await db
    .select()
    .from(batchEvents)
    .where(and(eq(batchEvents.batchId, batchId), gt(batchEvents.seq, after)))
    .orderBy(asc(batchEvents.seq));
  return rows.map(({ madeBy, ...row }) =>
    readStored(batchEventSchema, { ...row, by: madeBy ?? undefined }, `Event ${row.seq} of this batch`),
  );
}
