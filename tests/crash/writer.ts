import { readFormula } from '../../src/formats/formula-file';
import { freezeBatch } from '../../src/kitchen/cook/freeze';
import { restoreBackup, takeBackup } from '../../src/server/backup/kitchen-rows';
import { readParts } from '../../src/server/backup/pack';
import { openDatabase } from '../../src/server/db/database';
import { tell } from '../../src/server/repositories/batch-log';
import { beginBatch } from '../../src/server/repositories/batches';
import { createFormula, saveFormula } from '../../src/server/repositories/formulas';
import { importIngredients } from '../../src/server/repositories/larder';
import { startingLarder } from '../../src/server/repositories/starting-larder';

/**
 * Saves one formula over and over, tells its batch an event each time, and says each once it is acknowledged; for trials that end it. In between it reads ingredients in, and takes a
 * backup and puts it back.
 */
const [folder = ''] = process.argv.slice(2);
const { db, schemaName } = await openDatabase(folder);
const file = readFormula({
  format: 'dark-pour/formula',
  version: 1,
  name: 'Millrace trial',
  lines: [
    { ingredient: 'dark-couverture-60', grams: 200 },
    { ingredient: 'cream-35', grams: 200 },
  ],
});
const EVERY_IMPORT = 40;
const EVERY_BACKUP = 70;
const begun = Date.now();

let kept = await createFormula(db, file, new Date());
process.stdout.write(`${kept.id} ${kept.revision}\n`);
const stove = { panCm: 20, powerW: 2000, hob: 'gas', microwaveW: 800, altitudeM: 0, dampPercent: 50 } as const;
const larder = new Map(startingLarder().map((each) => [each.id, each]));
const frozen = freezeBatch(file, larder, { times: 1, stove, kitchenC: 22 });
if (!frozen) throw new Error('nothing to cook');
const batch = await beginBatch(db, kept.id, frozen, new Date());
for (let n = 1; ; n++) {
  const [first, second] = file.lines;
  const lines = first && second ? [first, { ...second, grams: (n % 900) + 1 }] : [];
  const saved = await saveFormula(db, kept.id, kept.revision, { ...file, lines }, new Date());
  if (saved.outcome !== 'saved') throw new Error(saved.outcome);
  kept = saved.formula;
  process.stdout.write(`${kept.id} ${kept.revision}\n`);
  const what = { kind: 'temperature', temperatureC: 20 + (n % 60), by: 'probe' } as const;
  const event = { key: `${begun}-${n}-event`, tablet: 'trial', tabletMs: Date.now(), what };
  const heard = await tell(db, batch.id, { after: n - 1, events: [event] }, new Date());
  if (!heard) throw new Error('the batch is gone');
  process.stdout.write(`log-${batch.id} ${heard.events.at(-1)?.seq}\n`);
  if (n % EVERY_IMPORT === 0) {
    const add = startingLarder().map((each) => ({
      ...each,
      id: `${each.id}-${begun}-${n}`,
      name: `${each.name} ${begun} ${n}`,
    }));
    await importIngredients(db, { add, change: [] }, () => undefined);
  }
  if (n % EVERY_BACKUP === 0) await restoreBackup(db, readParts(await takeBackup(db, schemaName, new Date())));
}
