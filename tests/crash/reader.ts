import { sql } from 'drizzle-orm';
import { openDatabase } from '../../src/server/db/database';
import { batchEvents } from '../../src/server/db/schema';
import { listPhotos } from '../../src/server/photos/photo-folder';
import { eventsAfter } from '../../src/server/repositories/batch-rows';
import { runningBatches } from '../../src/server/repositories/batches';
import { listFormulas } from '../../src/server/repositories/formula-list';

/** Opens a data folder and says what is in it, one thing a line with how much of it there is. */
const [folder = ''] = process.argv.slice(2);
const { db, close } = await openDatabase(folder);
const say = (what: string, count: number) => process.stdout.write(`${what} ${count}\n`);
for (const { id, revision } of await listFormulas(db)) say(id, revision);
for (const { id } of await runningBatches(db)) {
  const log = await eventsAfter(db, id, 0);
  // A log without gaps: as many events as its last number says.
  say(`log-${id}`, log.at(-1)?.seq === log.length ? log.length : 0);
}
/** Rows of a table by a text in them, that a writer put its own number into. */
async function count(what: string, query: ReturnType<typeof sql>): Promise<void> {
  const { rows } = (await db.execute(query)) as unknown as { rows: { of: string; count: number }[] };
  for (const row of rows) say(`${what}-${row.of}`, Number(row.count));
}
await count('shelf', sql`select substr(name, 5) as of, count(*) as count from shelf_items group by name`);
await count('practice', sql`select substr(learner, 9) as of, count(*) as count from practice_tries group by learner`);
const isRing = sql`${batchEvents.what} ->> 'kind' = 'ring'`;
await count('tests', sql`select batch_id as of, count(*) as count from batch_events where ${isRing} group by batch_id`);
for (const hash of listPhotos(folder)) say(`photo-${hash}`, 1);
await close();
