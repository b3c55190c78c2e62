/** `npm run bench`: prints how fast the core answers and the server starts. Nothing fails on it. */
import { mkdtempSync, rmSync } from 'node:fs';
import path from 'node:path';
import { ensureBuilt } from './run/ensure-built.mjs';
import { ensureInstalled } from './run/ensure-installed.mjs';
import { inProject, PROJECT, runNode } from './run/project.mjs';

ensureInstalled();
ensureBuilt();
const { buildSync } = await import('esbuild');
const folder = mkdtempSync(inProject('node_modules', '.bench-'));
try {
  // Bundled as the browser runs it: a loader between the modules would slow what is measured.
  const results = [
    'core',
    'pan',
    'rescue',
    'impossible',
    'brief',
    'larder',
    'saving',
    'start',
    'devices',
    'book',
    'serve',
    'practice',
    'load',
  ].map((name) => {
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
