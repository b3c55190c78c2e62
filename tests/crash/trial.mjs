import { spawn, spawnSync } from 'node:child_process';
import { once } from 'node:events';
import { createInterface } from 'node:readline';
import { inProject, program } from '../../scripts/run/project.mjs';

/** Longest a folder may take to open, ms. */
const OPENING_MS = 60_000;

/**
 * Saves into a folder until told to stop, then by whatever `end` does.
 *
 * @param {string} folder
 * @param {number} forMs how long it saves, from its start
 * @param {() => void} end
 * @returns {Promise<Map<string, number>>} the last acknowledged revision of each formula, and number of each batch's log
 */
export async function saveUntil(folder, forMs, end) {
  const writer = spawn(process.execPath, [program.tsx, inProject('tests', 'crash', 'writer.ts'), folder], {
    stdio: ['ignore', 'pipe', 'ignore'],
    detached: true,
  });
  const acknowledged = new Map();
  createInterface({ input: writer.stdout }).on('line', (line) => {
    const [id, revision] = line.split(' ');
    acknowledged.set(id, Number(revision));
  });
  await new Promise((resolve) => setTimeout(resolve, forMs));
  const gone = once(writer, 'close');
  end();
  try {
    process.kill(-writer.pid, 'SIGKILL');
  } catch {
    // Ended by itself.
  }
  await gone;
  return acknowledged;
}

/**
 * Opens a folder as the next start does.
 *
 * @param {string} folder
 * @returns {Map<string, number> | undefined} revision of each formula and length of each log; nothing when it does not open
 */
export function openAgain(folder) {
  const reader = spawnSync(process.execPath, [program.tsx, inProject('tests', 'crash', 'reader.ts'), folder], {
    encoding: 'utf8',
    timeout: OPENING_MS,
    killSignal: 'SIGKILL',
  });
  if (reader.status !== 0) {
    process.stderr.write(reader.stderr);
    return undefined;
  }
  const lines = reader.stdout.trim().split('\n').filter(Boolean);
  return new Map(lines.map((line) => [line.split(' ')[0], Number(line.split(' ')[1])]));
}

/**
 * Takes the newest changes of a folder's form back, lets a start make them again, and ends that in the middle.
 *
 * @param {string} folder
 * @param {number} afterMs
 */
export async function killWhileMigrating(folder, afterMs) {
  spawnSync(process.execPath, [program.tsx, inProject('tests', 'crash', 'older-schema.ts'), folder], {
    stdio: ['ignore', 'ignore', 2],
  });
  const opening = spawn(process.execPath, [program.tsx, inProject('tests', 'crash', 'reader.ts'), folder], {
    stdio: 'ignore',
    detached: true,
  });
  await new Promise((resolve) => setTimeout(resolve, afterMs));
  const gone = once(opening, 'close');
  try {
    process.kill(-opening.pid, 'SIGKILL');
  } catch {
    // Done already.
  }
  if (opening.exitCode === null) await gone;
}

/** How many of the acknowledged saves are not there any more. */
export function lostOf(acknowledged, found) {
  let lost = 0;
  for (const [id, revision] of acknowledged) lost += Math.max(revision - (found.get(id) ?? 0), 0);
  return lost;
}
