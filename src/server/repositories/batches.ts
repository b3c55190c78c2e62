import { randomUUID } from 'node:crypto';
import { and, desc, eq, inArray, max } from 'drizzle-orm';
import {
  type BatchEvent,
  type BatchHead,
  type FrozenBatch,
  type Happening,
  MOST_EVENTS,
  type Told,
} from '@/formats/batch';
import type { Database } from '../db/query-builder';
import { batchEvents, batches } from '../db/schema';
import { eventsAfter, HEAD, toHead } from './batch-rows';
import { writeSummary } from './batch-summaries';
import { writeTests } from './kitchen-tests';

/** Thrown when a batch's log is full. */
export class FullLogError extends Error {
  override readonly name = 'FullLogError';
}

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

/** What a kitchen learns from is a batch that is whole: its tests are held against the book once it is over. */
const TEACHES: ReadonlySet<Happening['kind']> = new Set(['finish', 'abandon', 'ring', 'test', 'doubt']);

/** Brings the book up to date with what was told of a batch that is over. */
async function writeBook(tx: Parameters<typeof writeTests>[0], batchId: string, fresh: readonly Told[]): Promise<void> {
  await writeSummary(tx, batchId);
  if (fresh.some(({ what: { kind } }) => TEACHES.has(kind))) await writeTests(tx, batchId);
}

/**
 * Adds to the log of a batch what a tablet tells, in its order, each event once, however often it is told.
 *
 * @returns what the tablet does not know yet, its own events among it; nothing where the batch is gone
 * @throws {FullLogError} the log holds as much as it can
 */
export async function tell(
  db: Database,
  batchId: string,
  { after, events }: { readonly after: number; readonly events: readonly Told[] },
  now: Date,
): Promise<{ readonly events: BatchEvent[]; readonly state: BatchHead['state'] } | undefined> {
  return db.transaction(async (tx) => {
    // One at a time: two tablets never get the same number.
    const [batch] = await tx.select(HEAD).from(batches).where(eq(batches.id, batchId)).for('update');
    if (!batch) return undefined;
    const keys = events.map(({ key }) => key);
    const known = keys.length
      ? await tx
          .select({ key: batchEvents.key })
          .from(batchEvents)
          .where(and(eq(batchEvents.batchId, batchId), inArray(batchEvents.key, keys)))
      : [];
    const isKnown = new Set(known.map(({ key }) => key));
    const fresh = events.filter(({ key }) => !isKnown.has(key) && isKnown.add(key));
    let { state } = batch;
    if (fresh.length > 0) {
      const [last] = await tx
        .select({ seq: max(batchEvents.seq) })
        .from(batchEvents)
        .where(eq(batchEvents.batchId, batchId));
      const from = last?.seq ?? 0;
      if (from + fresh.length > MOST_EVENTS)
        throw new FullLogError(`${MOST_EVENTS} events are as many as a batch keeps.`);
      await tx.insert(batchEvents).values(
        fresh.map(({ by, ...event }, i) => ({
          batchId,
          seq: from + 1 + i,
          serverMs: now.getTime(),
          madeBy: by ?? null,
          ...event,
        })),
      );
      const end = fresh.find(({ what: { kind } }) => kind === 'finish' || kind === 'abandon')?.what.kind;
      if (state === 'running' && end) {
        state = end === 'finish' ? 'finished' : 'abandoned';
        await tx.update(batches).set({ state }).where(eq(batches.id, batchId));
      }
      if (state !== 'running') await writeBook(tx, batchId, fresh);
    }
    return { events: await eventsAfter(tx, batchId, after), state };
  });
}
