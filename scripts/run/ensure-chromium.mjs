import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { run } from './project.mjs';

const PLACES = ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome-stable'];

/** Path of a Chromium on this machine: `CHROMIUM`, or one of the usual places. */
function findChromium() {
  return [process.env.CHROMIUM, ...PLACES].find((place) => place && existsSync(place));
}

/** Whether this process may install packages of the system. */
function canInstall() {
  return process.getuid?.() === 0 && spawnSync('apt-get', ['--version'], { stdio: 'ignore' }).status === 0;
}

/**
 * Finds the Chromium of the browser tests; on Debian, as root, installs it when it is missing.
 *
 * @returns {string | undefined} its path; nothing when there is none and none could be installed
 */
export function ensureChromium() {
  const found = findChromium();
  if (found || !canInstall()) return found;
  process.stderr.write('Installing Chromium for the browser tests…\n');
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  const stdio = ['ignore', 'ignore', 2];
  run('apt-get', ['update', '-qq'], { stdio, env });
  run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'], { stdio, env });
  return findChromium();
}
