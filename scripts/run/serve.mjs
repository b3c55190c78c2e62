import { isFree } from './port.mjs';
import { program, startNode, stop } from './project.mjs';

/** Idle connections stay this long: a tablet that asks every ten seconds must not meet one that is just being closed. */
const KEEP_ALIVE_MS = 75_000;

/** Refuses, in one line, an address that is taken. */
export async function refuseTakenPort(command, { host, port }) {
  if (await isFree(host, port)) return;
  stop(`Port ${port} on ${host} is in use. Stop what uses it, or choose another: ${command} -- --port ${port + 1}`);
}

/** Waits until the server answers, or has ended. */
async function healthy(address, child) {
  for (;;) {
    if (child.exitCode !== null) return false;
    try {
      const answer = await fetch(`${address}/api/health`);
      if (answer.ok) return true;
    } catch {
      // Not listening yet.
    }
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
}

/**
 * Serves the built app on a data folder until it is told to stop, and passes that on.
 *
 * @param {{ host: string, port: number, folder: string, mode?: 'start' | 'dev', welcome: string }} options
 */
export async function serve({ host, port, folder, mode = 'start', welcome }) {
  const keepAlive = mode === 'start' ? ['--keepAliveTimeout', String(KEEP_ALIVE_MS)] : [];
  const child = startNode([program.next, mode, '-p', String(port), '-H', host, ...keepAlive], {
    stdio: ['ignore', mode === 'dev' ? 'inherit' : 'ignore', 'inherit'],
    env: {
      ...process.env,
      DARK_POUR_DATA: folder,
      NEXT_MANUAL_SIG_HANDLE: '1',
      NODE_ENV: mode === 'dev' ? 'development' : 'production',
    },
  });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill('SIGTERM'));
  child.once('exit', (code) => process.exit(code ?? 0));
  const address = `http://${host.includes(':') ? `[${host}]` : host}:${port}`;
  if (await healthy(address, child)) process.stdout.write(`${welcome}\n\n  ${address}\n\nStop with Ctrl+C.\n`);
}
