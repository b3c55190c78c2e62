// @ts-check
/** The one passcode of a kitchen that is open to its network. */
import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { promisify } from 'node:util';
import { endAllSessions } from './sessions.mjs';

const FILE = 'passcode.json';
const MIN_LENGTH = 6;
const MAX_LENGTH = 200;
const COST = { N: 2 ** 15, r: 8, p: 1, maxmem: 2 ** 26 };
const derive = /** @type {(text: string, salt: string, length: number, cost: object) => Promise<Buffer>} */ (
  promisify(scrypt)
);

/** @param {string} passcode @param {string} salt */
const hashOf = (passcode, salt) => derive(passcode.normalize('NFC'), salt, 32, COST);

/**
 * What is kept of the passcode.
 *
 * @param {string} folder
 * @returns {{ salt: string, hash: string } | undefined} nothing where none was set, or its file cannot be read
 */
function read(folder) {
  try {
    const kept = JSON.parse(readFileSync(path.join(folder, FILE), 'utf8'));
    return typeof kept?.salt === 'string' && /^[0-9a-f]{64}$/.test(kept?.hash) ? kept : undefined;
  } catch {
    return undefined;
  }
}

/** Whether one has been set that can be read. @param {string} folder */
export const hasPasscode = (folder) => read(folder) !== undefined;

/**
 * Sets the passcode; every session ends.
 *
 * @param {string} folder
 * @param {string} passcode
 * @returns {Promise<string | undefined>} why not
 */
export async function setPasscode(folder, passcode) {
  if (passcode.length < MIN_LENGTH) return `A passcode has at least ${MIN_LENGTH} characters.`;
  if (passcode.length > MAX_LENGTH) return `A passcode has at most ${MAX_LENGTH} characters.`;
  const salt = randomBytes(16).toString('hex');
  const hash = (await hashOf(passcode, salt)).toString('hex');
  endAllSessions(folder);
  writeFileSync(path.join(folder, FILE), `${JSON.stringify({ salt, hash })}\n`, { mode: 0o600, flush: true });
  return undefined;
}

/** @param {string} folder @param {string} passcode */
export async function isPasscode(folder, passcode) {
  const kept = read(folder);
  if (!kept || passcode.length > MAX_LENGTH) return false;
  return timingSafeEqual(await hashOf(passcode, kept.salt), Buffer.from(kept.hash, 'hex'));
}
