import { listFormulas } from '@/server/repositories/formula-list';
import { openDatabase } from '../../src/server/db/database';

/** Opens a data folder and says which revision each formula has, one a line. */
const [folder = ''] = process.argv.slice(2);
const { db, close } = await openDatabase(folder);
for (const { id, revision } of await listFormulas(db)) process.stdout.write(`${id} ${revision}\n`);
await close();
