import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { cpuSeconds } from './family';
import { report } from './report';
import { serve } from './served';

/** Three tablets read the scale and the probe of one batch, ten times a second: what that costs the server, as a share of one core. */
const TABLETS = 3;
const LISTEN_MS = 15_000;
const REST_MS = 4_000;

const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** Listens for a while and counts the readings. */
async function listen(url: string, headers: Record<string, string>): Promise<number> {
  const stop = AbortSignal.timeout(LISTEN_MS);
  let readings = 0;
  try {
    const answer = await fetch(url, { headers, signal: stop });
    const text = new TextDecoder();
    for await (const chunk of answer.body ?? []) readings += text.decode(chunk).split('data:').length - 1;
  } catch (error) {
    if (!stop.aborted) throw error;
  }
  return readings;
}

const folder = mkdtempSync(path.join(tmpdir(), 'dark-pour-bench-'));
const served = await serve(folder);
try {
  const { formulas } = JSON.parse(await served.ask('/api/formulas'));
  const stove = { panCm: 20, powerW: 2000, hob: 'gas', microwaveW: 800, altitudeM: 0, dampPercent: 50 };
  const begun = { formulaId: formulas.at(-1).id, stove, kitchenC: 22 };
  const { id } = JSON.parse(await served.ask('/api/batches', 'POST', begun));
  await wait(REST_MS);
  const before = cpuSeconds(served.pid);
  const counts = await Promise.all(
    Array.from({ length: TABLETS }, () => listen(`${served.address}/api/batches/${id}/devices`, served.headers)),
  );
  const share = (cpuSeconds(served.pid) - before) / (LISTEN_MS / 1000);
  process.stdout.write(`\n${TABLETS} tablets heard ${counts.join(', ')} readings in ${LISTEN_MS / 1000} s\n`);
  report('Scale and probe, as time of one core a second', [
    { name: `${TABLETS} tablets, ten readings a second`, ms: 1000 * share, aimMs: 50 },
  ]);
} finally {
  await served.stop();
  rmSync(folder, { recursive: true, force: true });
}
