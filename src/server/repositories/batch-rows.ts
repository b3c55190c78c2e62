import { and, asc, eq, gt, inArray, sql } from 'drizzle-orm';
import {
  type BatchAnswer,
  type BatchEvent,
  type BatchHead,
  type FrozenBatch,
  frozenBatchSchema,
  happeningSchema,
} from '@/formats/batch';
import { thinReadings } from '@/kitchen/cook/thin-readings';
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

type EventRow = typeof batchEvents.$inferSelect;

/** An event as it was told; one this version cannot read says so and never stops the others. */
function toEvent({ batchId: _, madeBy, heardMs, what, ...row }: EventRow): BatchEvent {
  const read = happeningSchema.safeParse(what);
  const [issue] = read.error?.issues ?? [];
  return {
    ...row,
    ...(madeBy === null ? {} : { by: madeBy }),
    ...(heardMs === null ? {} : { heardMs }),
    what: read.success ? read.data : { kind: 'unclear', reason: `${issue?.path.join('.')} ${issue?.message}`.trim() },
  };
}

/** Events of a batch from one on, in the order the server heard of them. */
export async function eventsAfter(db: Pick<Database, 'select'>, batchId: string, after: number): Promise<BatchEvent[]> {
  const rows = await db
    .select()
    .from(batchEvents)
    .where(and(eq(batchEvents.batchId, batchId), gt(batchEvents.seq, after)))
    .orderBy(asc(batchEvents.seq));
  return rows.map(toEvent);
}

/** Kinds of events that move a clock. */
const CLOCK_KINDS = ['begin', 'done', 'aside', 'start', 'burst', 'timer', 'timerOff', 'replan', 'finish', 'abandon'];

/** The events of a batch by which its clocks stand, without all else that is told of it. */
export async function clockEvents(db: Pick<Database, 'select'>, batchId: string): Promise<BatchEvent[]> {
  const rows = await db
    .select()
    .from(batchEvents)
    .where(and(eq(batchEvents.batchId, batchId), inArray(sql`${batchEvents.what} ->> 'kind'`, CLOCK_KINDS)))
    .orderBy(asc(batchEvents.seq));
  return rows.map(toEvent);
}

/** A batch as a page opens it: with its log, and what time it is on its clock, which never goes backwards. */
export async function openBatch(db: Pick<Database, 'select'>, id: string): Promise<BatchAnswer | undefined> {
  const found = await findBatch(db, id);
  if (!found) return undefined;
  const events = await eventsAfter(db, id, 0);
  const nowMs = events.reduce(
    (last, { serverMs }) => Math.max(last, serverMs),
    Math.max(Date.now(), found.head.startedMs),
  );
  return { ...found, events: thinReadings(events), nowMs };
}
