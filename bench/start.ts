import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { type Row, report } from './report';
import { serve } from './served';

const WARM_STARTS = 5;

/** Time from the command to the first healthy answer; the server is stopped again. */
async function startOnce(folder: string): Promise<number> {
  const { startMs, stop } = await serve(folder);
  await stop();
  return startMs;
}

const folder = mkdtempSync(path.join(tmpdir(), 'dark-pour-bench-'));
try {
  const cold = await startOnce(folder);
  const warm: number[] = [];
  for (let i = 0; i < WARM_STARTS; i++) warm.push(await startOnce(folder));
  const rows: Row[] = [
    { name: 'cold start: new data folder, seeded, app built', ms: cold, aimMs: 20_000 },
    {
      name: `warm start, median of ${WARM_STARTS}`,
      ms: warm.toSorted((a, b) => a - b)[Math.floor(WARM_STARTS / 2)] as number,
      aimMs: 3000,
    },
  ];
  report('Server', rows);
} finally {
  rmSync(folder, { recursive: true });
}
