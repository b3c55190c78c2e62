import { execSync } from 'node:child_process';
import { readFormula } from './src/formats/formula-file';
import { openDatabase } from './src/server/db/database';
import { lanternMillFormulas } from './src/server/demo/lantern-mill';
import { createFormula, saveFormula } from './src/server/repositories/formulas';

const F = '/tmp/dur/g';
const { db, close } = await openDatabase(F);
const f = readFormula(lanternMillFormulas()[0]!);
let s = await createFormula(db, f, new Date());
const ts: number[] = [];
console.log('before', execSync('du -sm ' + F).toString());
const t0 = performance.now();
for (let i = 0; i < 20000; i++) {
  const t1 = performance.now();
  const r = await saveFormula(db, s.id, s.revision, { ...f, name: 'n' + i }, new Date());
  if (r.outcome !== 'saved') throw r;
  s = r.formula;
  ts.push(performance.now() - t1);
  if (i % 5000 === 4999)
    console.log(
      i,
      execSync('du -sm ' + F)
        .toString()
        .trim(),
      execSync('ls ' + F + '/db/pg_wal | wc -l')
        .toString()
        .trim(),
    );
}
console.log('per s', 20000 / ((performance.now() - t0) / 1000));
ts.sort((a, b) => a - b);
console.log('save p50', ts[10000], 'p99', ts[19800], 'max', ts[19999]);
await close();
const t = performance.now();
const o = await openDatabase(F);
console.log('start', performance.now() - t);
console.log('after', execSync('du -sm ' + F).toString());
await o.close();
process.exit(0);
