import { openKitchen } from './db/database';
import type { Database } from './db/query-builder';
import { lanternMillFormulas } from './demo/lantern-mill';
import { SATURDAY, saturdayFrom } from './demo/saturday';
import { season } from './demo/season';
import { leftOnShelf } from './demo/shelf-of-season';
import { addTask } from './repositories/days';
import { listFormulas } from './repositories/formula-list';
import { createFormulas } from './repositories/formulas';
import { refreshTests } from './repositories/kitchen-tests';
import { refreshTypical, stockEmptyLarder } from './repositories/larder';
import { writePastBatch } from './repositories/past-batches';
import { putAway } from './repositories/shelf';
import { startingLarder } from './repositories/starting-larder';

/** Puts Lantern Mill's formulas into an empty library, the first of them changed last. */
async function seedDemo(db: Database, now: Date): Promise<void> {
  if ((await listFormulas(db)).length > 0) return;
  await createFormulas(db, lanternMillFormulas().reverse(), now);
  const made = await listFormulas(db);
  for (const { name, readyMinutes } of SATURDAY) {
    const formula = made.find(({ file }) => file.name === name);
    if (formula) await addTask(db, saturdayFrom(now), { formulaId: formula.id, readyMinutes });
  }
  const larder = new Map(startingLarder().map((each) => [each.id, each]));
  for (const batch of season(made, larder, now)) {
    const { id } = await writePastBatch(db, batch);
    const left = leftOnShelf(batch, id, now);
    if (left) await putAway(db, left, batch.madeAt);
  }
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
    await refreshTests(db);
  } finally {
    await close();
  }
}
