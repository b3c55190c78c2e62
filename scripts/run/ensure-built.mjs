import { readFileSync, writeFileSync } from 'node:fs';
import { contentHash, inProject, program, runNode, stop } from './project.mjs';

const SOURCES = [
  'src',
  'drizzle',
  'public',
  'next.config.ts',
  'postcss.config.mjs',
  'tsconfig.json',
  'package-lock.json',
];

/** Builds the app when there is no build of these sources yet. */
export function ensureBuilt() {
  const mark = inProject('.next', '.built-sources');
  const wanted = contentHash(SOURCES);
  try {
    if (readFileSync(mark, 'utf8') === wanted) return;
  } catch {
    // Not built yet.
  }
  process.stderr.write('Building…\n');
  const status = runNode([program.next, 'build'], {
    stdio: ['ignore', 2, 2],
    env: { ...process.env, NODE_ENV: 'production' },
  });
  if (status !== 0) stop('The app could not be built; the lines above say why.');
  writeFileSync(mark, wanted);
}
