/** PostgreSQL's programs on this machine, for what is tested on both databases. */
import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync } from 'node:fs';
import path from 'node:path';
import { run } from './project.mjs';

const PLACES = '/usr/lib/postgresql';
const LEAST_VERSION = 15;

/**
 * Where the programs of PostgreSQL are, 15 or later.
 *
 * @returns {string | undefined} the folder; nothing where there are none
 */
export function postgresPrograms() {
  if (!existsSync(PLACES)) return undefined;
  const versions = readdirSync(PLACES)
    .map(Number)
    .filter((version) => version >= LEAST_VERSION)
    .sort((a, b) => b - a);
  const places = versions.map((version) => path.join(PLACES, String(version), 'bin'));
  return places.find((place) => existsSync(path.join(place, 'initdb')));
}

/** Installs PostgreSQL where it is missing and this is Debian and root; what cannot be had is done without. */
export function ensurePostgres() {
  const isRoot = process.getuid?.() === 0;
  if (postgresPrograms() || !isRoot || spawnSync('apt-get', ['--version'], { stdio: 'ignore' }).status !== 0) return;
  process.stderr.write('Installing PostgreSQL for the tests on both databases…\n');
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  const stdio = ['ignore', 'ignore', 2];
  run('apt-get', ['update', '-qq'], { stdio, env });
  run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'postgresql'], { stdio, env });
}
