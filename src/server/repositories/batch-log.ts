import { and, eq, inArray, max, sql } from 'drizzle-orm';
import { nth } from '@/core/nth';
import {
  AFTERWARDS,
  type BatchEvent,
  type BatchHead,
  type Happening,
  MAX_EVENTS,
  MAX_PROBE_EVENTS,
  type RefusedEvent,
  type Told,
  toldSchema,
} from '@/formats/batch';
import { unkeepable } from '@/formats/keepable-text';
import { takesReplans } from '@/kitchen/cook/cook-batch';
import { thinReadings } from '@/kitchen/cook/thin-readings';
import type { Database } from '../db/query-builder';
import { batchEvents, batches } from '../db/schema';
import { eventsAfter, findBatch, HEAD } from './batch-rows';
import { writeSummary } from './batch-summaries';
import { writeTests } from './kitchen-tests';

/** An event that was heard so soon after it happened counts as heard at once, ms. */
const AT_ONCE_MS = 5_000;

type Transaction = Pick<Database, 'select' | 'insert' | 'delete' | 'update'>;

/** What is told of a batch, as it came from the tablet. */
export interface Telling {
  readonly after: number;
  readonly events: readonly unknown[];
  readonly sentMs?: number | undefined;
}

/** What a tablet is answered. */
export interface Heard {
  /** what the tablet does not know yet, its own events among it */
  readonly events: readonly BatchEvent[];
  readonly state: BatchHead['state'];
  /** events the batch does not take: the tablet need not tell them again */
  readonly refused: readonly RefusedEvent[];
  /** ms on the clock of the batch */
  readonly nowMs: number;
}

/** Events that can be read, and those that cannot. @throws {RangeError} one has no key: nobody could be told of it */
function readEvents(events: readonly unknown[]): {
  readonly clear: readonly Told[];
  readonly refused: readonly RefusedEvent[];
} {
  const [clear, refused]: [Told[], RefusedEvent[]] = [[], []];
  for (const each of events) {
    const read = toldSchema.safeParse(each);
    const trouble = read.success ? unkeepable(each) : (read.error.issues[0]?.message ?? 'cannot be read');
    if (read.success && trouble === undefined) clear.push(read.data);
    else {
      const { key } = (each ?? {}) as { key?: unknown };
      if (typeof key !== 'string') throw new RangeError('every event needs a key');
      refused.push({ key, message: `It cannot be kept: ${trouble}.` });
    }
  }
  return { clear, refused };
}

/** How many steps and rows a batch has. */
async function sizeOf(tx: Transaction, batchId: string) {
  const length = (path: string) =>
    sql<number>`coalesce(jsonb_array_length(${batches.frozen} #> ${path}::text[]), 0)::int`;
  const [size] = await tx
    .select({ steps: length('{file,method,steps}'), rows: length('{file,lines}') })
    .from(batches)
    .where(eq(batches.id, batchId));
  return size ?? { steps: 0, rows: 0 };
}

/** Why a batch of this size cannot take an event. */
function misplaced(
  what: Happening,
  { steps, rows }: { readonly steps: number; readonly rows: number },
): string | undefined {
  if ('step' in what && what.step >= steps) return 'this batch has no such step';
  if ('row' in what && what.row >= rows) return 'this batch has no such row';
  return undefined;
}

/** Why the log has no room for an event. */
function full(what: Happening, seq: number): string | undefined {
  if (AFTERWARDS.has(what.kind) || what.kind === 'finish' || what.kind === 'abandon') return undefined;
  const isRead = what.kind === 'temperature' && what.by === 'probe';
  const most = isRead ? MAX_PROBE_EVENTS : MAX_EVENTS;
  return seq > most ? `${most} entries are as many as a batch keeps` : undefined;
}

/** Whether the method can still be followed once rows are wanted in other amounts. */
async function replanFault(
  tx: Transaction,
  batchId: string,
  replans: readonly Happening[],
): Promise<string | undefined> {
  const found = replans.length > 0 ? await findBatch(tx, batchId) : undefined;
  if (!found) return undefined;
  const before = (await eventsAfter(tx, batchId, 0)).map(({ what }) => what);
  const wanted = [...before, ...replans].flatMap((what) =>
    what.kind === 'replan' ? [[what.row, what.grams] as const] : [],
  );
  return takesReplans(found.frozen, new Map(wanted)) ? undefined : 'no method can be followed with these amounts';
}

/**
 * When each event happened on the clock of the batch. The tablet’s own clock tells how long ago that was; the events of a tablet keep their order, and
 * none is before the batch began.
 */
async function times(
  tx: Transaction,
  batchId: string,
  events: readonly Told[],
  clock: { readonly nowMs: number; readonly startedMs: number; readonly sentMs: number | undefined },
): Promise<number[]> {
  const tablets = [...new Set(events.map(({ tablet }) => tablet))];
  const lasts = await tx
    .select({ tablet: batchEvents.tablet, ms: max(batchEvents.serverMs) })
    .from(batchEvents)
    .where(and(eq(batchEvents.batchId, batchId), inArray(batchEvents.tablet, tablets)))
    .groupBy(batchEvents.tablet);
  const last = new Map(lasts.map(({ tablet, ms }) => [tablet, Number(ms ?? 0)]));
  return events.map(({ tablet, tabletMs }) => {
    const agoMs = Math.max((clock.sentMs ?? tabletMs) - tabletMs, 0);
    const ms = Math.max(clock.nowMs - agoMs, clock.startedMs, last.get(tablet) ?? 0);
    last.set(tablet, ms);
    return ms;
  });
}

/** Brings what is worked out of a batch that is over up to date. Work that is told late changes what its tests say, too. */
async function writeBook(tx: Transaction, batchId: string, fresh: readonly Told[]): Promise<void> {
  await writeSummary(tx, batchId);
  const teaches = fresh.some(({ what: { kind } }) => !AFTERWARDS.has(kind) || ['ring', 'test', 'doubt'].includes(kind));
  if (teaches) await writeTests(tx, batchId);
}

/** What of the events is not known yet. */
async function unknownOf(tx: Transaction, batchId: string, events: readonly Told[]): Promise<readonly Told[]> {
  if (events.length === 0) return [];
  const keys = events.map(({ key }) => key);
  const known = await tx
    .select({ key: batchEvents.key })
    .from(batchEvents)
    .where(and(eq(batchEvents.batchId, batchId), inArray(batchEvents.key, keys)));
  const isKnown = new Set(known.map(({ key }) => key));
  return events.filter(({ key }) => !isKnown.has(key) && isKnown.add(key));
}

/** Tells events the batch takes from those it cannot take. */
async function judge(tx: Transaction, batchId: string, events: readonly Told[], lastSeq: number) {
  const [fresh, refused]: [Told[], RefusedEvent[]] = [[], []];
  if (events.length === 0) return { fresh, refused };
  const size = await sizeOf(tx, batchId);
  const replans = events.flatMap(({ what }) => (what.kind === 'replan' && !misplaced(what, size) ? [what] : []));
  const noMethod = await replanFault(tx, batchId, replans);
  for (const event of events) {
    const { key, what } = event;
    const fault =
      misplaced(what, size) ??
      full(what, lastSeq + fresh.length + 1) ??
      (what.kind === 'replan' ? noMethod : undefined);
    if (fault) refused.push({ key, message: `It cannot be kept: ${fault}.` });
    else fresh.push(event);
  }
  return { fresh, refused };
}

/**
 * Adds to the log of a batch what a tablet tells, in its order, each event once, however often it is told. Each is looked at before it is written: one
 * that the batch cannot take is refused by itself.
 *
 * @returns nothing where the batch is gone
 * @throws {RangeError} an event without a key
 */
export async function tell(
  db: Database,
  batchId: string,
  { after, events, sentMs }: Telling,
  now: Date,
): Promise<Heard | undefined> {
  const { clear, refused: unread } = readEvents(events);
  return db.transaction(async (tx) => {
    // One at a time: two tablets never get the same number.
    const [batch] = await tx.select(HEAD).from(batches).where(eq(batches.id, batchId)).for('update');
    if (!batch) return undefined;
    const [last] = await tx
      .select({ seq: max(batchEvents.seq), ms: max(batchEvents.serverMs) })
      .from(batchEvents)
      .where(eq(batchEvents.batchId, batchId));
    const lastSeq = last?.seq ?? 0;
    const startedMs = batch.startedAt.getTime();
    // A clock that was set back never makes a batch go backwards.
    const nowMs = Math.max(now.getTime(), startedMs, Number(last?.ms ?? 0));
    const { fresh, refused } = await judge(tx, batchId, await unknownOf(tx, batchId, clear), lastSeq);
    let { state } = batch;
    if (fresh.length > 0) {
      const at = await times(tx, batchId, fresh, { nowMs, startedMs, sentMs });
      await tx.insert(batchEvents).values(
        fresh.map(({ by, ...event }, i) => ({
          batchId,
          seq: lastSeq + 1 + i,
          serverMs: nth(at, i),
          heardMs: nowMs - nth(at, i) > AT_ONCE_MS ? nowMs : null,
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
    const unheard = thinReadings(await eventsAfter(tx, batchId, after));
    return { events: unheard, state, refused: [...unread, ...refused], nowMs };
  });
}

/** What a tablet does not know yet of a batch: a plain read, which waits for nobody that writes. Nothing where the batch is gone. */
export async function readLog(db: Database, batchId: string, after: number, now: Date): Promise<Heard | undefined> {
  const [batch] = await db.select(HEAD).from(batches).where(eq(batches.id, batchId));
  if (!batch) return undefined;
  const events = await eventsAfter(db, batchId, after);
  const [last] = await db
    .select({ ms: max(batchEvents.serverMs) })
    .from(batchEvents)
    .where(eq(batchEvents.batchId, batchId));
  const nowMs = Math.max(now.getTime(), batch.startedAt.getTime(), Number(last?.ms ?? 0));
  return { events: thinReadings(events), state: batch.state, refused: [], nowMs };
}
