import { readFormula } from '../../src/formats/formula-file';
import { openDatabase } from '../../src/server/db/database';
import { createFormula, saveFormula } from '../../src/server/repositories/formulas';

/** Saves one formula over and over and says each save once it is acknowledged; for trials that end it. */
const [folder = ''] = process.argv.slice(2);
const { db } = await openDatabase(folder);
const file = readFormula({
  format: 'dark-pour/formula',
  version: 1,
  name: 'Millrace trial',
  lines: [
    { ingredient: 'dark-couverture-60', grams: 200 },
    { ingredient: 'cream-35', grams: 200 },
  ],
});
let kept = await createFormula(db, file, new Date());
process.stdout.write(`${kept.id} ${kept.revision}\n`);
for (let grams = 1; ; grams = (grams % 900) + 1) {
  const [first, second] = file.lines;
  const lines = first && second ? [first, { ...second, grams }] : [];
  const saved = await saveFormula(db, kept.id, kept.revision, { ...file, lines }, new Date());
  if (saved.outcome !== 'saved') throw new Error(saved.outcome);
  kept = saved.formula;
  process.stdout.write(`${kept.id} ${kept.revision}\n`);
}
