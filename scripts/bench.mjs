/** `npm run bench`: prints how fast the core answers and the server starts. Nothing fails on it. */
import { ensureBuilt } from './run/ensure-built.mjs';
import { ensureInstalled } from './run/ensure-installed.mjs';
import { inProject, program, runNode } from './run/project.mjs';

ensureInstalled();
ensureBuilt();
const results = ['core', 'start'].map((name) =>
  runNode([program.tsx, '--tsconfig', inProject('tsconfig.json'), inProject('bench', `${name}.ts`)]),
);
process.exitCode = results.every((status) => status === 0) ? 0 : 1;
