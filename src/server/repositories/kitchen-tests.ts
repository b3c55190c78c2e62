import { and, count, desc, eq, inArray, isNull, lt, ne, or, sql } from 'drizzle-orm';
import { KITCHEN_FROM_TESTS, type KitchenKnowledge, type KitchenReading, learnKitchen } from '@/core/learn/kitchen';
import { type OneSided, oneSided } from '@/core/learn/one-sided';
import { MODEL_REVISION } from '@/core/model-constants';
import type { KnowledgeAnswer } from '@/formats/kitchen-test';
import { testsOf } from '@/kitchen/record/tests-of';
import type { Database } from '../db/query-builder';
import { batchEvents, batches, kitchenTests } from '../db/schema';
import { offThread } from '../heavy/off-thread';
import { eventsAfter, findBatch } from './batch-rows';
import { keepFigureNews } from './figure-news';

/** Readings from which on they are learnt from on a thread. */
const WORTH_A_THREAD = 500;

/** Holds all tests of a batch against the book, and keeps what they say. */
export async function writeTests(
  db: Pick<Database, 'select' | 'insert' | 'delete' | 'update'>,
  id: string,
): Promise<void> {
  const found = await findBatch(db, id);
  if (!found) return;
  const { tests, chocolate } = testsOf(found.head, found.frozen, await eventsAfter(db, id, 0));
  await db.delete(kitchenTests).where(eq(kitchenTests.batchId, id));
  const rows = tests.flatMap(({ key, ms, isDoubted, reading }) =>
    reading && Number.isFinite(reading.residual)
      ? [{ batchId: id, key, madeMs: ms, ...reading, chocolate: chocolate ?? null, isDoubted }]
      : [],
  );
  if (rows.length > 0) await db.insert(kitchenTests).values(rows);
  await db.update(batches).set({ testedBy: MODEL_REVISION }).where(eq(batches.id, id));
}

/** Most batches whose tests are read anew in one go. */
const MOST_AT_ONCE = 200;

/** Mean of what the warm tests of batches say, ln, and how many there are. */
async function warmTests(db: Database, ids: readonly string[]) {
  const [found] = await db
    .select({ tests: count(), mean: sql<number | null>`avg(${kitchenTests.residual})` })
    .from(kitchenTests)
    .where(
      and(inArray(kitchenTests.batchId, [...ids]), eq(kitchenTests.about, 'warm'), eq(kitchenTests.isDoubted, false)),
    );
  return { tests: found?.tests ?? 0, mean: Number(found?.mean ?? 0) };
}

/** Tests held against older figures, or come with a backup that had none, are read anew: at a start, and after a backup. What moved is kept, to be told. */
export async function refreshTests(db: Database): Promise<void> {
  const older = await db
    .select({ id: batches.id })
    .from(batches)
    .where(and(ne(batches.state, 'running'), lt(batches.testedBy, MODEL_REVISION)));
  const ids = older.map(({ id }) => id);
  const was = await warmTests(db, ids);
  await readAnew(db);
  const is = await warmTests(db, ids);
  if (was.tests > 0 && is.tests > 0)
    await keepFigureNews(db, { revision: MODEL_REVISION, tests: is.tests, was: was.mean, is: is.mean });
}

/** Reads tests anew, some batches at a time. */
async function readAnew(db: Database): Promise<void> {
  const hasTests = sql`exists (select 1 from ${batchEvents} e where e.batch_id = ${batches.id} and e.what->>'kind' in ('ring', 'test'))`;
  const old = await db
    .select({ id: batches.id })
    .from(batches)
    .where(
      and(ne(batches.state, 'running'), or(isNull(batches.testedBy), ne(batches.testedBy, MODEL_REVISION)), hasTests),
    )
    .limit(MOST_AT_ONCE);
  for (const { id } of old) await writeTests(db, id);
  if (old.length === MOST_AT_ONCE) await readAnew(db);
}

/** What was worked out of the tests as they are: once, whoever asks. */
interface WorkedOut {
  readonly version: string;
  knowledge?: Promise<KitchenKnowledge>;
  misses?: Promise<Record<string, OneSided[]>>;
}
const workedOut = new WeakMap<Database, WorkedOut>();

/** Tells these tests from any others: how many there are, and what each writing of a row is stamped with. */
async function testsVersion(db: Database): Promise<string> {
  const [found] = await db
    .select({ count: count(), stamp: sql<string>`coalesce(sum(xmin::text::bigint), 0)::text` })
    .from(kitchenTests);
  return `${found?.count} ${found?.stamp} ${startOfToday()}`;
}

const DAY_MS = 86_400_000;
const MONTH_MS = 30.44 * DAY_MS;
/** Tests fade by the day: what was learnt holds until the next. */
const startOfToday = () => Math.floor(Date.now() / DAY_MS) * DAY_MS;

async function learn(db: Database): Promise<KitchenKnowledge> {
  const { about, se, evidence, madeMs, chocolate } = kitchenTests;
  const rows = await db
    .select({ about, se, evidence, madeMs, chocolate, formula: batches.formulaId })
    .from(kitchenTests)
    .innerJoin(batches, eq(batches.id, kitchenTests.batchId))
    .where(eq(kitchenTests.isDoubted, false));
  const now = startOfToday();
  const readings = rows.flatMap((row): KitchenReading[] =>
    row.evidence
      ? [
          {
            ...{ about: row.about, se: row.se, evidence: row.evidence, formula: row.formula },
            months: Math.max(now - (row.madeMs ?? now), 0) / MONTH_MS,
            chocolate: row.chocolate ?? undefined,
          },
        ]
      : [],
  );
  // A few are learnt from faster than they are handed over.
  if (readings.length < WORTH_A_THREAD) return learnKitchen(readings);
  return offThread('learn', readings, () => learnKitchen(readings));
}

/** What is worked out of the tests as they are now. */
async function ofTests<What extends 'knowledge' | 'misses'>(
  db: Database,
  what: What,
  work: () => NonNullable<WorkedOut[What]>,
): Promise<Awaited<NonNullable<WorkedOut[What]>>> {
  const version = await testsVersion(db);
  const before = workedOut.get(db);
  const known: WorkedOut = before?.version === version ? before : { version };
  workedOut.set(db, known);
  const done = known[what] ?? work();
  known[what] = done;
  // What failed is not known: whoever asks next has it worked out again.
  done.catch(() => workedOut.delete(db));
  return done as Awaited<NonNullable<WorkedOut[What]>>;
}

/** What this kitchen's tests have taught so far, from all of them at once. */
export const kitchenKnowledge = (db: Database): Promise<KitchenKnowledge> => ofTests(db, 'knowledge', () => learn(db));

/** Readings that are drawn beside what was learnt: those of one batch, and the last of all others. */
const MAX_READINGS = 200;

/** What the tests taught, with those of a batch and some of the others. */
export async function knowledgeBeside(db: Database, batchId: string | undefined): Promise<KnowledgeAnswer> {
  const own = sql`${kitchenTests.batchId} = ${batchId ?? ''}`;
  const rows = await db
    .select({
      batchId: kitchenTests.batchId,
      key: kitchenTests.key,
      about: kitchenTests.about,
      residual: kitchenTests.residual,
      se: kitchenTests.se,
      isDoubted: kitchenTests.isDoubted,
    })
    .from(kitchenTests)
    .innerJoin(batches, eq(batches.id, kitchenTests.batchId))
    .orderBy(desc(own), desc(batches.startedAt))
    .limit(MAX_READINGS);
  return { knowledge: await kitchenKnowledge(db), readings: rows };
}

/** How this kitchen pours; nothing while it has too few tests for figures of its own. */
export async function kitchenPours(db: Database): Promise<KitchenKnowledge | undefined> {
  const knowledge = await kitchenKnowledge(db);
  return knowledge.tests >= KITCHEN_FROM_TESTS ? knowledge : undefined;
}

async function findMisses(db: Database): Promise<Record<string, OneSided[]>> {
  const rows = await db
    .select({ formulaId: batches.formulaId, about: kitchenTests.about, residual: kitchenTests.residual })
    .from(kitchenTests)
    .innerJoin(batches, eq(batches.id, kitchenTests.batchId))
    .where(eq(kitchenTests.isDoubted, false));
  const byFormula = new Map<string, typeof rows>();
  for (const row of rows) {
    const own = byFormula.get(row.formulaId);
    if (own) own.push(row);
    else byFormula.set(row.formulaId, [row]);
  }
  const found = [...byFormula].map(([id, readings]) => [id, oneSided(readings)] as const);
  return Object.fromEntries(found.filter(([, misses]) => misses.length > 0));
}

/** What the tests of each formula's batches agree on, for those of which they do. */
export const allMisses = (db: Database): Promise<Record<string, OneSided[]>> =>
  ofTests(db, 'misses', () => findMisses(db));

/** What the tests of a formula's batches agree on. */
export async function missesOf(db: Database, formulaId: string): Promise<OneSided[]> {
  const rows = await db
    .select({ about: kitchenTests.about, residual: kitchenTests.residual })
    .from(kitchenTests)
    .innerJoin(batches, eq(batches.id, kitchenTests.batchId))
    .where(and(eq(batches.formulaId, formulaId), eq(kitchenTests.isDoubted, false)));
  return oneSided(rows);
}
