import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { contentHash, inProject, program, runNode, stop } from './project.mjs';

/**
 * Creates and stocks the kitchen of a data folder in a short-lived process, unless that was done for this schema and larder before;
 * or the one on the server of `DATABASE_URL`, each time.
 *
 * @param {string} folder absolute path
 * @param {'demo' | 'own'} kind
 */
export function ensureData(folder, kind) {
  const place = process.env.DATABASE_URL?.trim() || folder;
  const mark = path.join(folder, 'prepared');
  const wanted = contentHash(['drizzle', 'data']);
  try {
    // A server may hold another kitchen than the last time.
    if (place === folder && readFileSync(mark, 'utf8') === wanted) return;
  } catch {
    // Not prepared yet.
  }
  process.stderr.write(`Preparing the data ${place === folder ? `in ${folder}` : 'on the PostgreSQL server'}…\n`);
  // For its own user alone, and all that is made in it.
  process.umask(0o077);
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  if (kind === 'demo') writeFileSync(path.join(folder, 'demo'), 'Made by the demo: it may make it anew.\n');
  const status = runNode([program.tsx, inProject('scripts', 'prepare-data.ts'), place, kind]);
  if (status !== 0) stop('The data folder could not be prepared.');
  if (place === folder) writeFileSync(mark, wanted);
}
