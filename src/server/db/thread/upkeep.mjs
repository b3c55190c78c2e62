// @ts-check
import { readdirSync } from 'node:fs';
import path from 'node:path';

/** A segment of the write-ahead log is 16 MB; from so many on a checkpoint lets go of them. */
const MOST_SEGMENTS = 4;
/** Writes after which the log is looked at, and after which rows that were replaced are cleared away. */
const LOOK_EVERY = 50;
const VACUUM_EVERY = 2_000;

/**
 * Files are not cut shorter by it: one that is shorter than it was is known to be broken (`file-sizes.ts`).
 *
 * What a database on a server does by itself in the background and an embedded one does not: a checkpoint before the log grows long, and
 * clearing away of replaced rows.
 *
 * @param {string} folder of the database
 * @param {(sql: string) => Promise<unknown>} run
 * @returns {() => Promise<void>} to be called after each write
 */
export function upkeep(folder, run) {
  const log = path.join(folder, 'pg_wal');
  let writes = 0;
  return async () => {
    writes += 1;
    if (writes % VACUUM_EVERY === 0) await run('VACUUM (TRUNCATE FALSE)');
    if (writes % LOOK_EVERY !== 0) return;
    const segments = readdirSync(log).filter((name) => /^[0-9A-F]{24}$/.test(name)).length;
    if (segments > MOST_SEGMENTS) await run('CHECKPOINT');
  };
}
