import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { openDatabase } from '../src/server/db/database';
import { lanternMillFormulas } from '../src/server/demo/lantern-mill';
import { listFormulas } from '../src/server/repositories/formula-list';
import { createFormula, saveFormula } from '../src/server/repositories/formulas';
import { report } from './report';

/** Saves that are on the disk when they are acknowledged: one tablet after the other, and ten at once beside readers. */
const SAVES = 200;
const WRITERS = 10;
const READERS = 50;

const folder = mkdtempSync(path.join(tmpdir(), 'dark-pour-bench-'));
const { db, close } = await openDatabase(path.join(folder, 'data'));
const [file] = lanternMillFormulas();
if (!file) throw new Error('no formula');

async function save(times: number): Promise<number[]> {
  let kept = await createFormula(db, file as NonNullable<typeof file>, new Date());
  const taken: number[] = [];
  for (let i = 0; i < times; i++) {
    const start = performance.now();
    const saved = await saveFormula(db, kept.id, kept.revision, { ...kept.file, note: `save ${i}` }, new Date());
    if (saved.outcome !== 'saved') throw new Error(saved.outcome);
    kept = saved.formula;
    taken.push(performance.now() - start);
  }
  return taken;
}

const part = (taken: readonly number[], share: number) =>
  [...taken].sort((a, b) => a - b)[Math.floor(share * (taken.length - 1))] as number;

try {
  await save(20);
  const alone = await save(SAVES);
  let isReading = true;
  const readers = Array.from({ length: READERS }, async () => {
    while (isReading) await listFormulas(db);
  });
  const together = (await Promise.all(Array.from({ length: WRITERS }, () => save(SAVES / WRITERS)))).flat();
  isReading = false;
  await Promise.all(readers);
  report('Saving, on the disk before it is acknowledged', [
    { name: 'one after the other, p50', ms: part(alone, 0.5), aimMs: 30 },
    { name: 'one after the other, p99', ms: part(alone, 0.99), aimMs: 100 },
    { name: `${WRITERS} writers beside ${READERS} readers, p50`, ms: part(together, 0.5), aimMs: 1000 },
    { name: `${WRITERS} writers beside ${READERS} readers, p99`, ms: part(together, 0.99), aimMs: 2000 },
  ]);
} finally {
  await close();
  rmSync(folder, { recursive: true, force: true });
}
process.exit(0);
