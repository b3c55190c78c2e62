import { networkInterfaces } from 'node:os';
import { hasPasscode } from '../../src/server/auth/passcode.mjs';
import { isLoopback } from '../../src/server/loopback.mjs';
import { isFree } from './port.mjs';
import { inProject, startNode, stop } from './project.mjs';

/** Refuses, in one line, an address that is taken. */
export async function refuseTakenPort(command, { host, port }) {
  if (await isFree(host, port)) return;
  stop(`Port ${port} on ${host} is in use. Stop what uses it, or choose another: ${command} -- --port ${port + 1}`);
}

/** Waits until the server says that it listens, or has ended. */
function healthy(child) {
  return new Promise((resolve) => {
    child.once('message', () => resolve(true));
    child.once('exit', () => resolve(false));
  });
}

/** Addresses under which the server can be opened, the one of this machine first. */
function addresses(host, port, scheme) {
  const at = (name) => `${scheme}://${name.includes(':') ? `[${name}]` : name}:${port}`;
  if (host !== '0.0.0.0' && host !== '::') return [at(host)];
  const others = Object.values(networkInterfaces())
    .flatMap((each) => each ?? [])
    .filter(({ internal, family }) => !internal && family === 'IPv4');
  return [at('127.0.0.1'), ...others.map(({ address }) => at(address))];
}

/**
 * Serves the built app on a data folder until it is told to stop, and passes that on.
 *
 * @param {{ host: string, port: number, folder: string, allowed: string[], cert?: string, key?: string, mode?: 'start' | 'dev', welcome: string }} options
 */
export async function serve({ host, port, folder, allowed, cert, key, mode = 'start', welcome }) {
  if (!isLoopback(host) && !hasPasscode(folder)) {
    stop(
      `On ${host} other machines reach this kitchen: set a passcode first, with npm run passcode -- --data ${folder}`,
    );
  }
  const known = addresses(host, port, cert ? 'https' : 'http');
  const forTablets = known.filter((each) => !isLoopback(new URL(each).hostname));
  const told = JSON.stringify({ host, port, folder, allowed, mode, cert, key });
  const child = startNode([inProject('src', 'server', 'guarded-server.mjs'), told], {
    stdio: ['ignore', mode === 'dev' ? 'inherit' : 'ignore', 'inherit', 'ipc'],
    env: {
      ...process.env,
      DARK_POUR_DATA: folder,
      DARK_POUR_ADDRESSES: forTablets.join(' '),
      NEXT_MANUAL_SIG_HANDLE: '1',
      NODE_ENV: mode === 'dev' ? 'development' : 'production',
    },
  });
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP', 'SIGQUIT']) process.on(signal, () => child.kill('SIGTERM'));
  child.once('exit', (code) => process.exit(code ?? 0));
  if (!(await healthy(child))) return;
  const shown = known.map((each) => `  ${each}\n`).join('');
  process.stdout.write(`${welcome}\n\n${shown}\nStop with Ctrl+C.\n`);
  if (!forTablets[0]) return;
  // Loaded late: what runs before anything is installed knows of this file.
  const { default: qrCode } = await import('qrcode');
  process.stdout.write(`\nFor a tablet:\n${await qrCode.toString(forTablets[0], { type: 'terminal', small: true })}\n`);
}
