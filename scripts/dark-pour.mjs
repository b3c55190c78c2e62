/** `npm run -s dark-pour -- predict FILE.json`: the shell commands. Only answers go to stdout. */
import { ensureInstalled } from './run/ensure-installed.mjs';
import { inProject, program, runNode } from './run/project.mjs';

ensureInstalled();
process.exitCode = runNode(
  [program.tsx, '--tsconfig', inProject('tsconfig.json'), inProject('src', 'cli', 'main.ts'), ...process.argv.slice(2)],
  {
    cwd: process.env.INIT_CWD ?? process.cwd(),
  },
);
