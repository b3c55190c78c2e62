import { readFormula } from '../../src/formats/formula-file';
import { restoreBackup, takeBackup } from '../../src/server/backup/kitchen-rows';
import { openDatabase } from '../../src/server/db/database';
import { createFormula, saveFormula } from '../../src/server/repositories/formulas';
import { importIngredients } from '../../src/server/repositories/larder';
import { startingLarder } from '../../src/server/repositories/starting-larder';

/**
 * Saves one formula over and over and says each save once it is acknowledged; for trials that end it. In between it reads ingredients in, and takes a
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
for (let n = 1; ; n++) {
  const [first, second] = file.lines;
  const lines = first && second ? [first, { ...second, grams: (n % 900) + 1 }] : [];
  const saved = await saveFormula(db, kept.id, kept.revision, { ...file, lines }, new Date());
  if (saved.outcome !== 'saved') throw new Error(saved.outcome);
  kept = saved.formula;
  process.stdout.write(`${kept.id} ${kept.revision}\n`);
  if (n % EVERY_IMPORT === 0) {
    const add = startingLarder().map((each) => ({
      ...each,
      id: `${each.id}-${begun}-${n}`,
      name: `${each.name} ${begun} ${n}`,
    }));
    await importIngredients(db, { add, change: [] }, () => undefined);
  }
  if (n % EVERY_BACKUP === 0) await restoreBackup(db, await takeBackup(db, schemaName, new Date()));
}
