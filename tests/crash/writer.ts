import { createHash } from 'node:crypto';
import { readFormula } from '../../src/formats/formula-file';
import { practiceTrySchema } from '../../src/formats/practice';
import { putAwaySchema } from '../../src/formats/shelf';
import { freezeBatch } from '../../src/kitchen/cook/freeze';
import { restoreBackup, takeBackup } from '../../src/server/backup/kitchen-rows';
import { readParts } from '../../src/server/backup/pack';
import { openDatabase } from '../../src/server/db/database';
import { keepPhoto } from '../../src/server/photos/photo-folder';
import { once } from '../../src/server/repositories/answered-writes';
import { tell } from '../../src/server/repositories/batch-log';
import { beginBatch } from '../../src/server/repositories/batches';
import { createFormula, saveFormula } from '../../src/server/repositories/formulas';
import { importIngredients } from '../../src/server/repositories/larder';
import { writePastBatch } from '../../src/server/repositories/past-batches';
import { keepTry } from '../../src/server/repositories/practice';
import { putAway } from '../../src/server/repositories/shelf';
import { startingLarder } from '../../src/server/repositories/starting-larder';

/**
 * Saves one formula over and over, tells its batch an event each time, puts something away, practises, tests, keeps photos, and says each once it is
 * acknowledged; for trials that end it. In between it reads ingredients in, and takes a backup and puts it back.
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
const EVERY_PHOTO = 10;
const begun = Date.now();

/** What is kept beside formulas and logs: on the shelf, of practice, tests of a batch that is over, photos. */
async function keepBeside(n: number): Promise<void> {
  const key = `${begun}-${n}`;
  const jar = { name: `Jar ${begun}`, container: 'jar', count: 1, grams: 100, place: 'fridge', madeOn: '2026-11-28' };
  await once(db, { key: `shelf-${key}`, asked: n }, new Date(), (tx) =>
    putAway(tx, putAwaySchema.parse(jar), new Date()),
  );
  process.stdout.write(`shelf-${begun} ${n}\n`);
  const done = {
    key: `try-${key}`,
    learner: `Learner ${begun}`,
    kind: 'why',
    formula: '',
    isRight: true,
    called: null,
    miss: null,
  };
  await keepTry(db, practiceTrySchema.parse(done), new Date());
  process.stdout.write(`practice-${begun} ${n}\n`);
  const what = { kind: 'ring', diameterMm: 80 + (n % 20), temperatureC: 40 } as const;
  await tell(
    db,
    over.id,
    { after: n, events: [{ key: `ring-${key}`, tablet: 'trial', tabletMs: 1, what }] },
    new Date(),
  );
  process.stdout.write(`tests-${over.id} ${n}\n`);
  if (n % EVERY_PHOTO !== 0) return;
  const jpeg = Buffer.from(`photo ${key}`);
  const hash = createHash('sha256').update(jpeg).digest('hex');
  keepPhoto(folder, hash, jpeg);
  process.stdout.write(`photo-${hash} 1\n`);
}

let kept = await createFormula(db, file, new Date());
process.stdout.write(`${kept.id} ${kept.revision}\n`);
const stove = { panCm: 20, powerW: 2000, hob: 'gas', microwaveW: 800, altitudeM: 0, dampPercent: 50 } as const;
const larder = new Map(startingLarder().map((each) => [each.id, each]));
const frozen = freezeBatch(file, larder, 'standard', { times: 1, stove, kitchenC: 22 });
if (!frozen) throw new Error('nothing to cook');
const batch = await beginBatch(db, kept.id, frozen, new Date());
const over = await writePastBatch(db, {
  formulaId: kept.id,
  frozen,
  madeAt: new Date(),
  by: undefined,
  log: [{ ms: Date.now(), what: { kind: 'finish' } }],
});
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
  await keepBeside(n);
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
