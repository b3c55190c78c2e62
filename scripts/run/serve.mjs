import { networkInterfaces } from 'node:os';
import { isFree } from './port.mjs';
import { inProject, startNode, stop } from './project.mjs';

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

/** Addresses under which the server can be opened, the one of this machine first. */
function addresses(host, port) {
  const at = (name) => `http://${name.includes(':') ? `[${name}]` : name}:${port}`;
  if (host !== '0.0.0.0' && host !== '::') return [at(host)];
  const others = Object.values(networkInterfaces())
    .flatMap((each) => each ?? [])
    .filter(({ internal, family }) => !internal && family === 'IPv4');
  return [at('127.0.0.1'), ...others.map(({ address }) => at(address))];
}

/**
 * Serves the built app on a data folder until it is told to stop, and passes that on.
 *
 * @param {{ host: string, port: number, folder: string, allowed: string[], mode?: 'start' | 'dev', welcome: string }} options
 */
export async function serve({ host, port, folder, allowed, mode = 'start', welcome }) {
  const told = JSON.stringify({ host, port, folder, allowed, mode });
  const child = startNode([inProject('src', 'server', 'guarded-server.mjs'), told], {
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
  const [own, ...others] = addresses(host, port);
  if (!(await healthy(own, child))) return;
  process.stdout.write(`${welcome}\n\n${[own, ...others].map((each) => `  ${each}\n`).join('')}\nStop with Ctrl+C.\n`);
}
