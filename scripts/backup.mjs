/** `npm run backup [-- FILE]` and `npm run restore -- FILE`: a kitchen as one file, whether its server runs or not. */
import { ensureInstalled } from './run/ensure-installed.mjs';
import { inProject, program, runNode } from './run/project.mjs';

ensureInstalled();
process.exitCode = runNode(
  [
    program.tsx,
    '--tsconfig',
    inProject('tsconfig.json'),
    inProject('src', 'cli', 'backup.ts'),
    ...process.argv.slice(2),
  ],
  { cwd: inProject() },
);
