/** Where the project is, and how to run a program in it. Node built-ins only: runs before anything is installed. */
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync, statSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

export const PROJECT = fileURLToPath(new URL('../..', import.meta.url));

process.env.NEXT_TELEMETRY_DISABLED = '1';

/** Path in the project. */
export const inProject = (...parts) => path.join(PROJECT, ...parts);

/** Path of a package's program, run with `process.execPath` so that no wrapper process stays behind. */
export const program = {
  biome: inProject('node_modules', '@biomejs', 'biome', 'bin', 'biome'),
  depcruise: inProject('node_modules', 'dependency-cruiser', 'bin', 'dependency-cruise.mjs'),
  knip: inProject('node_modules', 'knip', 'bin', 'knip.js'),
  next: inProject('node_modules', 'next', 'dist', 'bin', 'next'),
  playwright: inProject('node_modules', '@playwright', 'test', 'cli.js'),
  tsc: inProject('node_modules', 'typescript-7', 'bin', 'tsc'),
  tsx: inProject('node_modules', 'tsx', 'dist', 'cli.mjs'),
  vitest: inProject('node_modules', 'vitest', 'vitest.mjs'),
};

/** Runs a program to its end. Returns its exit code. */
export function run(command, args, options = {}) {
  const { status, error } = spawnSync(command, args, { cwd: PROJECT, stdio: 'inherit', ...options });
  if (error) throw error;
  return status ?? 1;
}

/** Runs a Node program to its end. */
export const runNode = (args, options) => run(process.execPath, args, options);

/** Starts a Node program and leaves it running. */
export const startNode = (args, options = {}) =>
  spawn(process.execPath, args, { cwd: PROJECT, stdio: 'inherit', ...options });

/** Hash of the contents of files and folders. */
export function contentHash(places) {
  const hash = createHash('sha256');
  const visit = (place) => {
    let info;
    try {
      info = statSync(place);
    } catch {
      return;
    }
    if (info.isDirectory()) {
      for (const name of readdirSync(place).sort()) visit(path.join(place, name));
    } else {
      hash.update(path.relative(PROJECT, place)).update('\0').update(readFileSync(place)).update('\0');
    }
  };
  for (const place of places) visit(inProject(place));
  return hash.digest('hex');
}

/** Says one line and ends. */
export function stop(message) {
  process.stderr.write(`${message}\n`);
  process.exit(1);
}
