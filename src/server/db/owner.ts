import { existsSync, mkdirSync, readFileSync, rmSync, statSync, utimesSync } from 'node:fs';
import { createServer } from 'node:net';
import { hostname } from 'node:os';
import path from 'node:path';
import lockfile from 'proper-lockfile';
import writeFileAtomic from 'write-file-atomic';
import { z } from 'zod';

/**
 * One process owns a data folder: two on one embedded database corrupt it without any error.
 *
 * The owner is written down in `owner.json`. Whether it still lives is told by its process id together with the time that process
 * started, so a stale note left by a killed process is taken over at once and a busy owner is never mistaken for a dead
 * one. An owner on another machine (a shared folder) is believed as long as it renews the note. A short file lock keeps two starters
 * from taking over at the same time. Where the system has them, a socket under the folder's own number stands as well: it is there as long as its
 * process and nobody can delete or tear it.
 */
const OWNER_FILE = 'owner.json';
const RENEW_EVERY_MS = 5_000;
const FOREIGN_OWNER_STALE_MS = 30_000;

const ownerSchema = z.object({
  pid: z.number().int().positive(),
  processStarted: z.string(),
  host: z.string(),
  since: z.string(),
});

type Owner = z.infer<typeof ownerSchema>;

/** Thrown when another living process owns the folder. */
export class DataFolderInUseError extends Error {
  override readonly name = 'DataFolderInUseError';

  constructor(folder: string, owner: Owner | undefined) {
    const who = owner ? ` (process ${owner.pid} on ${owner.host}, since ${owner.since})` : '';
    super(
      `The data folder ${folder} is already open in another Dark Pour${who}. ` +
        'Nothing was changed. Use that one, stop it first, or point DARK_POUR_DATA at another folder.',
    );
  }
}

/** States of a process that runs no more. */
const ENDED: ReadonlySet<string> = new Set(['Z', 'X']);
/** Longest a process that was killed may take to be gone, ms, and how often it is looked at. */
const DYING_MS = 1_000;
const LOOK_EVERY_MS = 50;

/** When a process started, as the system tells it; empty where the system does not. Tells a process from a later one with its number. */
function processStarted(pid: number): string {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8');
    const fields = stat.slice(stat.lastIndexOf(')') + 2).split(' ');
    // One that has ended and that nobody has asked after yet keeps its number.
    return ENDED.has(fields[0] ?? '') ? 'ended' : (fields[19] ?? '');
  } catch {
    return '';
  }
}

function isRunning(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM';
  }
}

function readOwner(file: string): Owner | undefined {
  try {
    const parsed = ownerSchema.safeParse(JSON.parse(readFileSync(file, 'utf8')));
    return parsed.success ? parsed.data : undefined;
  } catch {
    return undefined;
  }
}

/** Notes of this process that stand for nothing any more, where the disk did not let them go: by when they were written. */
const givenBack = new Set<string>();

function onDisk(work: () => void): void {
  try {
    work();
  } catch {
    // Full, gone, or to be read only: who saves is told.
  }
}

function isAlive(owner: Owner, file: string): boolean {
  if (owner.pid === process.pid && givenBack.has(owner.since)) return false;
  if (owner.host !== hostname()) return Date.now() - statSync(file).mtimeMs < FOREIGN_OWNER_STALE_MS;
  return isRunning(owner.pid) && processStarted(owner.pid) === owner.processStarted;
}

/**
 * Holds the folder's socket.
 *
 * @returns how to let go of it; nothing where another process holds it
 */
function holdSocket(folder: string): Promise<(() => void) | undefined> {
  if (process.platform !== 'linux') return Promise.resolve(() => undefined);
  const { dev, ino } = statSync(folder);
  const server = createServer();
  return new Promise((resolve) => {
    server.once('error', () => resolve(undefined));
    // A name that begins so is no file: it goes when its process does.
    server.listen(`\0dark-pour:${dev}:${ino}`, () => resolve(() => server.close()));
    server.unref();
  });
}

/**
 * Takes ownership of a data folder, creating it when needed.
 *
 * @returns a function that gives it back
 * @throws {DataFolderInUseError} a living process owns it
 */
export async function ownDataFolder(folder: string): Promise<() => void> {
  mkdirSync(folder, { recursive: true });
  const file = path.join(folder, OWNER_FILE);
  let me: Owner;
  let letGo: (() => void) | undefined;
  const unlock = await lockfile.lock(folder, {
    lockfilePath: path.join(folder, 'owner.lock'),
    stale: 5_000,
    retries: { retries: 40, minTimeout: 100, maxTimeout: 250 },
  });
  try {
    // An owner that was killed a moment ago may still be on its way out: socket and note are looked at for a while.
    for (const until = Date.now() + DYING_MS; ; ) {
      letGo ??= await holdSocket(folder);
      const current = readOwner(file);
      if (letGo && !(current && isAlive(current, file))) break;
      if (Date.now() >= until) {
        letGo?.();
        throw new DataFolderInUseError(folder, current);
      }
      await new Promise((resolve) => setTimeout(resolve, LOOK_EVERY_MS));
    }
    me = {
      pid: process.pid,
      processStarted: processStarted(process.pid),
      host: hostname(),
      since: new Date().toISOString(),
    };
    writeFileAtomic.sync(file, `${JSON.stringify(me)}\n`);
  } finally {
    await unlock();
  }
  const renew = setInterval(() => {
    const now = new Date();
    // A disk that takes nothing is told where something is to be saved.
    onDisk(() => {
      if (existsSync(file)) utimesSync(file, now, now);
      else if (existsSync(folder)) writeFileAtomic.sync(file, `${JSON.stringify(me)}\n`);
    });
  }, RENEW_EVERY_MS);
  renew.unref();
  return () => {
    clearInterval(renew);
    letGo?.();
    givenBack.add(me.since);
    onDisk(() => rmSync(file, { force: true }));
  };
}
