import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { freePort } from '../scripts/run/port.mjs';
import { type Row, report } from './report';

const WARM_STARTS = 5;

/** Time from the command to the first healthy answer; the server is stopped again. */
async function startOnce(folder: string): Promise<number> {
  const port = await freePort();
  const began = performance.now();
  const child = spawn(process.execPath, ['scripts/demo.mjs', '--port', String(port)], {
    env: { ...process.env, DARK_POUR_DEMO_DATA: folder },
    stdio: ['ignore', 'ignore', 'ignore'],
  });
  const ended = new Promise<void>((resolve) => child.once('exit', () => resolve()));
  for (;;) {
    if (child.exitCode !== null) throw new Error('the server did not start');
    const healthy = await fetch(`http://127.0.0.1:${port}/api/health`).then(
      (answer) => answer.ok,
      () => false,
    );
    if (healthy) break;
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
  const ms = performance.now() - began;
  child.kill('SIGTERM');
  await ended;
  return ms;
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
