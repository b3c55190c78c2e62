/** `npm run move -- --to postgres://…`: a whole kitchen to another place, and back. */
import { ensureInstalled } from './run/ensure-installed.mjs';
import { inProject, program, runNode } from './run/project.mjs';

ensureInstalled();
process.exitCode = runNode(
  [program.tsx, '--tsconfig', inProject('tsconfig.json'), inProject('src', 'cli', 'move.ts'), ...process.argv.slice(2)],
  { cwd: inProject() },
);
