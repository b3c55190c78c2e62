// @ts-check
/** Tablets that are logged in. Their cookies hold a number nobody can guess; what is kept of it is a hash. */
import { createHash, randomBytes } from 'node:crypto';
import { readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';

const FILE = 'sessions.json';
export const SESSION_COOKIE = 'dark-pour-session';
/** How long a tablet stays logged in. */
export const SESSION_S = 30 * 86_400;
/** Of more than so many the one that was seen longest ago ends. */
const MAX_SESSIONS = 200;
/** How often it is written down that a tablet was seen, ms. */
const SEEN_EVERY_MS = 60_000;

/**
 * @typedef {object} Session
 * @property {string} id by which it is listed and ended; it opens nothing
 * @property {string} hash of its cookie
 * @property {string} device what the tablet says it is
 * @property {string} address
 * @property {number} sinceMs
 * @property {number} lastMs when it was seen last
 */

/** @param {string} text */
const hashOf = (text) => createHash('sha256').update(text).digest('hex');

/** @param {unknown} each @returns {each is Session} */
const isSession = (each) => {
  const { id, hash, device, address, sinceMs, lastMs } = /** @type {Session} */ (each ?? {});
  return (
    [id, hash, device, address].every((text) => typeof text === 'string') && [sinceMs, lastMs].every(Number.isFinite)
  );
};

/** @param {string} folder @param {number} nowMs @returns {Session[]} those that have not run out */
function read(folder, nowMs) {
  try {
    const kept = JSON.parse(readFileSync(path.join(folder, FILE), 'utf8'));
    return Array.isArray(kept) ? kept.filter((each) => isSession(each) && each.sinceMs + SESSION_S * 1000 > nowMs) : [];
  } catch {
    return [];
  }
}

/** @param {string} folder @param {Session[]} sessions */
function write(folder, sessions) {
  // By hand: what stands here runs before anything is installed.
  const place = path.join(folder, FILE);
  const unfinished = `${place}.${randomBytes(6).toString('hex')}`;
  writeFileSync(unfinished, `${JSON.stringify(sessions)}\n`, { mode: 0o600, flush: true });
  renameSync(unfinished, place);
}

/**
 * Begins a session.
 *
 * @param {string} folder
 * @param {{ device: string, address: string, nowMs: number }} tablet
 * @returns {string} what its cookie holds
 */
export function beginSession(folder, { device, address, nowMs }) {
  const cookie = randomBytes(32).toString('base64url');
  const session = {
    id: randomBytes(9).toString('base64url'),
    hash: hashOf(cookie),
    device: device.slice(0, 200),
    address,
    sinceMs: nowMs,
    lastMs: nowMs,
  };
  const others = read(folder, nowMs).sort((a, b) => b.lastMs - a.lastMs);
  write(folder, [session, ...others].slice(0, MAX_SESSIONS));
  return cookie;
}

/**
 * The session of a cookie; nothing where it is none, has run out or was ended.
 *
 * @param {string} folder
 * @param {string | undefined} cookie
 * @param {number} nowMs
 * @returns {Session | undefined}
 */
export function sessionOf(folder, cookie, nowMs) {
  if (!cookie) return undefined;
  const sessions = read(folder, nowMs);
  const hash = hashOf(cookie);
  const found = sessions.find((each) => each.hash === hash);
  if (found && nowMs - found.lastMs > SEEN_EVERY_MS) {
    found.lastMs = nowMs;
    try {
      write(folder, sessions);
    } catch {
      // A full disk keeps nobody out.
    }
  }
  return found;
}

/** All that are logged in, the last seen first. @param {string} folder @param {number} nowMs */
export const listSessions = (folder, nowMs) => read(folder, nowMs).sort((a, b) => b.lastMs - a.lastMs);

/** Ends one. @param {string} folder @param {string} id @param {number} nowMs */
export function endSession(folder, id, nowMs) {
  const sessions = read(folder, nowMs);
  const rest = sessions.filter((each) => each.id !== id);
  if (rest.length < sessions.length) write(folder, rest);
  return rest.length < sessions.length;
}

/** Ends all. @param {string} folder */
export const endAllSessions = (folder) => rmSync(path.join(folder, FILE), { force: true });
