import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { contentHash, inProject, program, runNode, stop } from './project.mjs';

/**
 * Creates and stocks a data folder in a short-lived process, unless that was done for this schema and larder before.
 *
 * @param {string} folder absolute path
 * @param {'demo' | 'own'} kind
 */
export function ensureData(folder, kind) {
  const mark = path.join(folder, 'prepared');
  const wanted = contentHash(['drizzle', 'data']);
  try {
    if (readFileSync(mark, 'utf8') === wanted) return;
  } catch {
    // Not prepared yet.
  }
  process.stderr.write(`Preparing the data in ${folder}…\n`);
  mkdirSync(folder, { recursive: true });
  if (kind === 'demo') writeFileSync(path.join(folder, 'demo'), 'Made by the demo: it may make it anew.\n');
  const status = runNode([program.tsx, inProject('scripts', 'prepare-data.ts'), folder, kind]);
  if (status !== 0) stop('The data folder could not be prepared.');
  writeFileSync(mark, wanted);
}
