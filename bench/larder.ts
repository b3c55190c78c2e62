import { openMemoryDatabase } from '../src/server/db/database';
import { importIngredients, listIngredients, stockEmptyLarder } from '../src/server/repositories/larder';
import { startingLarder } from '../src/server/repositories/starting-larder';
import { type Row, report } from './report';

const ROWS = 5000;

const { db, close } = await openMemoryDatabase();
const starting = startingLarder();
await stockEmptyLarder(db, starting);
const add = Array.from({ length: ROWS }, (_, i) => {
  const ingredient = starting[i % starting.length] as (typeof starting)[number];
  return { ...ingredient, id: `row-${i}`, name: `${ingredient.name} ${i}`, origin: 'own' as const };
});
const time = async (name: string, aimMs: number, work: () => Promise<unknown>): Promise<Row> => {
  const began = performance.now();
  await work();
  return { name, ms: performance.now() - began, aimMs };
};
report('Larder', [
  await time(`${ROWS} ingredients written, all or nothing`, 5000, () =>
    importIngredients(db, { add, change: [] }, () => undefined),
  ),
  await time(`${ROWS} ingredients read back`, 1000, () => listIngredients(db)),
]);
await close();
