// @ts-check
/** The one passcode of a kitchen that is open to its network, and the sessions of those who gave it. */
import { createHmac, randomBytes, scryptSync, timingSafeEqual } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';

const FILE = 'passcode.json';
export const SESSION_COOKIE = 'dark-pour-session';
/** How long a tablet stays let in. */
export const SESSION_S = 30 * 86_400;
const LEAST_LENGTH = 6;
const MOST_LENGTH = 200;

/** @param {string} passcode @param {string} salt */
const hashOf = (passcode, salt) =>
  scryptSync(passcode.normalize('NFC'), salt, 32, { N: 2 ** 15, r: 8, p: 1, maxmem: 2 ** 26 });

/** @param {string} folder */
const fileIn = (folder) => path.join(folder, FILE);

/** Whether one has been set. @param {string} folder */
export const hasPasscode = (folder) => existsSync(fileIn(folder));

/**
 * Sets the passcode; sessions of the old one end.
 *
 * @param {string} folder
 * @param {string} passcode
 * @returns {string | undefined} why not
 */
export function setPasscode(folder, passcode) {
  if (passcode.length < LEAST_LENGTH) return `A passcode has at least ${LEAST_LENGTH} characters.`;
  if (passcode.length > MOST_LENGTH) return `A passcode has at most ${MOST_LENGTH} characters.`;
  const salt = randomBytes(16).toString('hex');
  const kept = { salt, hash: hashOf(passcode, salt).toString('hex'), sessions: randomBytes(32).toString('hex') };
  writeFileSync(fileIn(folder), `${JSON.stringify(kept)}\n`, { mode: 0o600 });
  return undefined;
}

/** @param {string} folder @returns {{ salt: string, hash: string, sessions: string }} */
const read = (folder) => JSON.parse(readFileSync(fileIn(folder), 'utf8'));

/** @param {string} folder @param {string} passcode */
export function isPasscode(folder, passcode) {
  const { salt, hash } = read(folder);
  return passcode.length <= MOST_LENGTH && timingSafeEqual(hashOf(passcode, salt), Buffer.from(hash, 'hex'));
}

/** @param {string} secret @param {string} text */
const sign = (secret, text) => createHmac('sha256', secret).update(text).digest('hex');

/** A session from now on, as its cookie holds it. @param {string} folder @param {number} nowMs */
export function newSession(folder, nowMs) {
  const until = String(Math.round(nowMs / 1000) + SESSION_S);
  return `${until}.${sign(read(folder).sessions, until)}`;
}

/** @param {string} folder @param {string | undefined} session @param {number} nowMs */
export function isSession(folder, session, nowMs) {
  const [until = '', given = ''] = (session ?? '').split('.');
  if (!/^\d{1,12}$/.test(until) || Number(until) * 1000 < nowMs) return false;
  const right = sign(read(folder).sessions, until);
  return given.length === right.length && timingSafeEqual(Buffer.from(given), Buffer.from(right));
}

/** Wrong tries after which an address has to wait, and how long, ms. */
const TRIES = 5;
const WAIT_MS = 30_000;

/** Counts wrong tries by address: from the fifth on each one costs a wait. */
export class Tries {
  /** @type {Map<string, { count: number, last: number }>} */
  #wrong = new Map();

  /** How long an address has to wait, ms. @param {string} address @param {number} nowMs */
  waitMs(address, nowMs) {
    const { count, last } = this.#wrong.get(address) ?? { count: 0, last: 0 };
    return count < TRIES ? 0 : Math.max(last + WAIT_MS - nowMs, 0);
  }

  /** @param {string} address @param {number} nowMs */
  wasWrong(address, nowMs) {
    // Nobody can fill the memory with addresses.
    if (this.#wrong.size > 10_000) this.#wrong.clear();
    this.#wrong.set(address, { count: (this.#wrong.get(address)?.count ?? 0) + 1, last: nowMs });
  }

  /** @param {string} address */
  wasRight(address) {
    this.#wrong.delete(address);
  }
}
