import { eventsAfter } from '@/server/repositories/batch-rows';
import { runningBatches } from '@/server/repositories/batches';
import { listFormulas } from '@/server/repositories/formula-list';
import { openDatabase } from '../../src/server/db/database';

/** Opens a data folder and says which revision each formula has and how far each batch's log goes, one a line. */
const [folder = ''] = process.argv.slice(2);
const { db, close } = await openDatabase(folder);
for (const { id, revision } of await listFormulas(db)) process.stdout.write(`${id} ${revision}\n`);
for (const { id } of await runningBatches(db)) {
  const log = await eventsAfter(db, id, 0);
  // A log without gaps: as many events as its last number says.
  process.stdout.write(`log-${id} ${log.at(-1)?.seq === log.length ? log.length : 0}\n`);
}
await close();
