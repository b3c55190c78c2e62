import { readFileSync, writeFileSync } from 'node:fs';
import { contentHash, inProject, run, stop } from './project.mjs';

/** Installs the packages of the lock when they are not there yet or the lock changed. Its output goes to stderr. */
export function ensureInstalled() {
  const mark = inProject('node_modules', '.installed-lock');
  const wanted = contentHash(['package-lock.json']);
  try {
    if (readFileSync(mark, 'utf8') === wanted) return;
  } catch {
    // Not installed yet.
  }
  process.stderr.write('Installing packages…\n');
  const npm = process.platform === 'win32' ? 'npm.cmd' : 'npm';
  const status = run(npm, ['ci', '--include=dev', '--no-audit', '--no-fund', '--loglevel=error'], {
    stdio: ['ignore', 2, 2],
    shell: process.platform === 'win32',
  });
  if (status !== 0) stop('The packages could not be installed: check that npm can reach its registry, then try again.');
  writeFileSync(mark, wanted);
}
