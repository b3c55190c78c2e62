import { readFileSync, writeFileSync } from 'node:fs';
import { contentHash, inProject, PROJECT, program, runNode, stop } from './project.mjs';

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
export async function ensureBuilt() {
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
  await buildHeavyThread();
  writeFileSync(mark, wanted);
}

/** Bundles the thread for heavy work, which the framework does not know of. */
export async function buildHeavyThread() {
  // Loaded late: what stands here runs before anything is installed.
  const { build } = await import('esbuild');
  await build({
    entryPoints: [inProject('src', 'app', 'heavy', 'heavy-thread.ts')],
    outfile: inProject('.next', 'heavy-thread.mjs'),
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    jsx: 'automatic',
    packages: 'external',
    absWorkingDir: PROJECT,
    logLevel: 'warning',
  });
}
