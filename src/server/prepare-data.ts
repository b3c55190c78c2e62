import { openKitchen } from './db/database';
import type { Database } from './db/query-builder';
import { lanternMillFormulas } from './demo/lantern-mill';
import { listFormulas } from './repositories/formula-list';
import { createFormulas } from './repositories/formulas';
import { refreshTypical, stockEmptyLarder } from './repositories/larder';
import { startingLarder } from './repositories/starting-larder';

/** Puts Lantern Mill's formulas into an empty library, the first of them changed last. */
async function seedDemo(db: Database, now: Date): Promise<void> {
  if ((await listFormulas(db)).length > 0) return;
  await createFormulas(db, lanternMillFormulas().reverse(), now);
}

/**
 * Creates and stocks a kitchen, in a data folder or on a PostgreSQL server: schema, starting larder and, for the demo, Lantern Mill's formulas. Run in a process of its own before the
 * server starts, because creating a database takes far more memory than opening one.
 *
 * @throws {DataFolderInUseError} another living process owns the folder
 */
export async function prepareData(place: string, options: { demo: boolean }): Promise<void> {
  const { db, close } = await openKitchen(place);
  try {
    const starting = startingLarder();
    await stockEmptyLarder(db, starting);
    await refreshTypical(db, starting);
    if (options.demo) await seedDemo(db, new Date());
  } finally {
    await close();
  }
}
