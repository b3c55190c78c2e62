import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { freePort } from '../scripts/run/port.mjs';
import { TOKEN_COOKIE } from '../src/server/guard.mjs';

/** A server of a data folder, as a cook starts it. */
export interface Served {
  readonly pid: number;
  readonly address: string;
  /** from the command to the first healthy answer */
  readonly startMs: number;
  /** what a page of its own sends along */
  readonly headers: Readonly<Record<string, string>>;
  /** asks as a page of its own does; any answer but a good one is an error */
  readonly ask: (path: string, method?: string, body?: unknown) => Promise<string>;
  readonly stop: () => Promise<void>;
}

/** Starts the demo on a data folder and waits until it is healthy. */
export async function serve(folder: string): Promise<Served> {
  const port = await freePort();
  const began = performance.now();
  const child = spawn(process.execPath, ['scripts/demo.mjs', '--port', String(port)], {
    env: { ...process.env, DARK_POUR_DEMO_DATA: folder },
    stdio: ['ignore', 'ignore', 'ignore'],
  });
  const ended = new Promise<void>((resolve) => child.once('exit', () => resolve()));
  const address = `http://127.0.0.1:${port}`;
  for (;;) {
    if (child.exitCode !== null) throw new Error('the server did not start');
    const healthy = await fetch(`${address}/api/health`).then(
      (answer) => answer.ok,
      () => false,
    );
    if (healthy) break;
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
  const startMs = performance.now() - began;
  const token = readFileSync(path.join(folder, 'token'), 'utf8').trim();
  const headers = { origin: address, cookie: `${TOKEN_COOKIE}=${token}`, 'content-type': 'application/json' };
  return {
    pid: child.pid ?? 0,
    address,
    startMs,
    headers,
    ask: async (to, method = 'GET', body) => {
      const answer = await fetch(`${address}${to}`, {
        method,
        headers,
        ...(body === undefined ? {} : { body: JSON.stringify(body) }),
      });
      const text = await answer.text();
      if (!answer.ok) throw new Error(`${method} ${to}: ${answer.status} ${text.slice(0, 300)}`);
      return text;
    },
    stop: async () => {
      child.kill('SIGTERM');
      await ended;
    },
  };
}
