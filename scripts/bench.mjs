/**
 * `npm run bench`: prints how fast the core answers and the server starts. Nothing fails on it.
 * `npm run bench -- pan load` runs only those; `npm run bench -- soak` an hour of use, which runs only when named.
 */
import { mkdtempSync, rmSync } from 'node:fs';
import path from 'node:path';
import { ensureBuilt } from './run/ensure-built.mjs';
import { ensureInstalled } from './run/ensure-installed.mjs';
import { inProject, PROJECT, runNode, stop } from './run/project.mjs';

const USUAL = [
  'core',
  'pan',
  'film',
  'rescue',
  'impossible',
  'method',
  'brief',
  'larder',
  'saving',
  'start',
  'devices',
  'book',
  'serve',
  'practice',
  'frames',
  'load',
];
const named = process.argv.slice(2);
const unknown = named.filter((name) => ![...USUAL, 'soak'].includes(name));
if (unknown.length > 0) stop(`There is no bench “${unknown.join(', ')}”. There are: ${[...USUAL, 'soak'].join(', ')}.`);
const wanted = named.length > 0 ? named : USUAL;

ensureInstalled();
await ensureBuilt();
const { buildSync } = await import('esbuild');
const folder = mkdtempSync(inProject('node_modules', '.bench-'));
try {
  // Bundled as the browser runs it: a loader between the modules would slow what is measured.
  const results = wanted.map((name) => {
    const outfile = path.join(folder, `${name}.mjs`);
    buildSync({
      entryPoints: [inProject('bench', `${name}.ts`)],
      outfile,
      bundle: true,
      platform: 'node',
      format: 'esm',
      target: 'node20',
      packages: 'external',
      absWorkingDir: PROJECT,
    });
    return runNode([outfile]);
  });
  process.exitCode = results.every((status) => status === 0) ? 0 : 1;
} finally {
  rmSync(folder, { recursive: true });
}
