// @ts-check
import { createHash, randomBytes, timingSafeEqual } from 'node:crypto';
import { chmodSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';

/** By this file the shell commands of this machine show that they may read its data folder. */
export const COMMAND_TOKEN_FILE = 'command-token';
const PAGE_TOKEN_FILE = 'token';

/** Whether two texts are the same, without telling by the time it takes how much of them is. @param {string} a @param {string} b */
export function isSameText(a, b) {
  const hash = (/** @type {string} */ text) => createHash('sha256').update(text).digest();
  return timingSafeEqual(hash(a), hash(b));
}

/** @param {string} file */
function makeToken(file) {
  const made = randomBytes(32).toString('hex');
  writeFileSync(file, `${made}\n`, { mode: 0o600 });
  // One that was there keeps its mode otherwise.
  chmodSync(file, 0o600);
  return made;
}

/**
 * The token by which a browser shows that it has had a page of ours: the same after a restart, so that an open bench goes on saving. It opens nothing.
 *
 * @param {string} folder
 */
export function pageToken(folder) {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const file = path.join(folder, PAGE_TOKEN_FILE);
  try {
    const kept = readFileSync(file, 'utf8').trim();
    if (/^[0-9a-f]{64}$/.test(kept)) return kept;
  } catch {
    // Not made yet.
  }
  return makeToken(file);
}

/** The token of this machine's own commands, made anew at each start. @param {string} folder */
export const commandToken = (folder) => makeToken(path.join(folder, COMMAND_TOKEN_FILE));
