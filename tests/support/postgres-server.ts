import { execFileSync, spawn } from 'node:child_process';
import { chownSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { freePort } from '../../scripts/run/port.mjs';

const STARTING_MS = 60_000;

/** The server does not run as root: there it is given to its own user. */
function asServerUser(): { readonly uid?: number; readonly gid?: number } {
  if (process.getuid?.() !== 0) return {};
  const id = (what: string) => Number(execFileSync('id', [what, 'postgres'], { encoding: 'utf8' }));
  return { uid: id('-u'), gid: id('-g') };
}

/**
 * Starts a PostgreSQL server of its own on a free port, with an empty cluster in a temporary folder.
 *
 * @param programs where its programs are
 * @returns its address, without a database, and how to end it
 */
export async function startPostgres(programs: string): Promise<{ url: string; stop: () => Promise<void> }> {
  const user = asServerUser();
  const folder = mkdtempSync(path.join(tmpdir(), 'dark-pour-postgres-'));
  if (user.uid !== undefined && user.gid !== undefined) chownSync(folder, user.uid, user.gid);
  const data = path.join(folder, 'data');
  const quiet = { ...user, cwd: folder, stdio: 'ignore' } as const;
  execFileSync(
    path.join(programs, 'initdb'),
    ['-D', data, '-A', 'trust', '-U', 'kitchen', '-E', 'UTF8', '--no-locale', '--no-sync'],
    quiet,
  );
  const port = await freePort();
  const server = spawn(
    path.join(programs, 'postgres'),
    [
      '-D',
      data,
      '-p',
      String(port),
      '-c',
      'listen_addresses=127.0.0.1',
      '-c',
      `unix_socket_directories=${folder}`,
      '-c',
      'fsync=off',
    ],
    quiet,
  );
  const ended = new Promise<void>((resolve) => server.once('exit', () => resolve()));
  const until = Date.now() + STARTING_MS;
  const isReady = () => {
    try {
      execFileSync(path.join(programs, 'pg_isready'), ['-q', '-h', '127.0.0.1', '-p', String(port)], quiet);
      return true;
    } catch {
      return false;
    }
  };
  while (!isReady()) {
    if (server.exitCode !== null || Date.now() > until) throw new Error('PostgreSQL did not start');
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  return {
    url: `postgres://kitchen@127.0.0.1:${port}`,
    stop: async () => {
      // Not waiting for who is still connected.
      server.kill('SIGINT');
      await ended;
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
