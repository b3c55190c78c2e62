// @ts-check
/** Answers pages from the cache, and draws those that are not there by asking the app as a tablet would. */
import { randomBytes } from 'node:crypto';
import { request } from 'node:http';
import { request as secureRequest } from 'node:https';
import { setTimeout as pause } from 'node:timers/promises';
import { cookieIn } from './guard.mjs';
import { bodyFor, CHANGED, PageCache, shownOn, touchedBy } from './page-cache.mjs';

/** How long a page is kept where nobody saves, ms; where other processes save into the same kitchen they are heard of only now and then. */
const MAX_MS = 30_000;
const MAX_MS_SHARED = 2_000;
/** How long a drawing gives way to saves, and how long others wait for one, ms. */
const GIVES_WAY_MS = 150;
const STANDS_MS = 5_000;
/** A page that is drawn for the cache is asked for under this header, with a word nobody else knows. */
const DRAWN = 'dark-pour-drawn';
const word = randomBytes(24).toString('hex');
/** What of a request decides how a page is drawn, its address apart. */
const DECIDING = ['rsc', 'next-router-state-tree', 'next-router-prefetch', 'next-router-segment-prefetch', 'next-url'];
/** What is passed on to where it is drawn; nothing that belongs to the connection it came by. */
const PASSED_ON = ['host', 'cookie', 'accept', 'accept-language', 'user-agent', ...DECIDING];
/** Headers of one connection, or of one tablet. */
const OWN = new Set(['connection', 'keep-alive', 'transfer-encoding', 'content-length', 'date', 'set-cookie']);

/**
 * @typedef {import('node:http').IncomingMessage} Request
 * @typedef {import('node:http').ServerResponse} Response
 */

/**
 * Draws a page as a tablet would have it.
 *
 * @param {{ address: string, authorization: string }} server
 * @param {Request} asked
 * @returns {Promise<import('./page-cache.mjs').Page>}
 */
function draw({ address, authorization }, { url, headers }) {
  return new Promise((resolve, reject) => {
    const ask = address.startsWith('https') ? secureRequest : request;
    const own = Object.fromEntries(
      PASSED_ON.flatMap((name) => (headers[name] === undefined ? [] : [[name, headers[name]]])),
    );
    const sent = ask(
      `${address}${url}`,
      { headers: { ...own, authorization, [DRAWN]: word }, rejectUnauthorized: false },
      (answer) => {
        /** @type {Buffer[]} */
        const parts = [];
        answer.on('data', (part) => parts.push(part));
        answer.on('error', reject);
        answer.on('end', () => {
          const kept = Object.entries(answer.headers).filter(([name]) => !OWN.has(name));
          resolve({
            status: answer.statusCode ?? 500,
            headers: /** @type {Record<string, string>} */ (Object.fromEntries(kept)),
            body: Buffer.concat(parts),
          });
        });
      },
    );
    sent.on('error', reject);
    sent.end();
  });
}

/** Pages are drawn one after the other, and a save that is under way goes first: drawing takes the processor for itself. */
class Turns {
  /** @type {Promise<unknown>} */
  #last = Promise.resolve();
  /** writes that are under way */
  #writes = 0;
  /** @type {(() => void)[]} */
  #waiting = [];

  /** A write begins. @returns {() => void} to be called when it is answered */
  beginWrite() {
    this.#writes += 1;
    let isOver = false;
    return () => {
      if (isOver) return;
      isOver = true;
      this.#writes -= 1;
      if (this.#writes === 0) for (const go of this.#waiting.splice(0)) go();
    };
  }

  /** Until no write is under way, but not for long: those who look wait, too. */
  async #quiet() {
    if (this.#writes === 0) return;
    await Promise.race([pause(GIVES_WAY_MS), new Promise((resolve) => this.#waiting.push(() => resolve(undefined)))]);
  }

  /**
   * @template T
   * @param {() => Promise<T>} work
   * @returns {Promise<T>}
   */
  draw(work) {
    const mine = this.#last.then(async () => {
      await this.#quiet();
      return work();
    });
    // One that stands still does not keep the others for ever.
    this.#last = Promise.race([mine.catch(() => undefined), this.#last.then(() => pause(STANDS_MS))]);
    return mine;
  }
}

/** @param {{ address: string, authorization: string }} server where pages are drawn */
export function keptPages(server) {
  const turns = new Turns();
  const cache = new PageCache({ maxMs: process.env.DATABASE_URL?.trim() ? MAX_MS_SHARED : MAX_MS });
  // The app tells of each save as the tablets hear of it.
  /** @type {{ darkPourSaved?: (change: { what: string, id?: string }) => void }} */ (globalThis).darkPourSaved = (
    change,
  ) => cache.saved(touchedBy(change));

  return {
    /** Hears what a write changed, once it is answered. @param {Request} asked @param {Response} response */
    hearWrite(asked, response) {
      if (asked.method === 'GET' || asked.method === 'HEAD') return;
      const isAnswered = turns.beginWrite();
      const hear = () => {
        isAnswered();
        const changed = response.getHeader(CHANGED);
        cache.saved(typeof changed === 'string' ? changed.split(',') : ['all']);
      };
      // Before whoever wrote can ask again; and where nobody waited for the answer.
      response.once('finish', hear);
      response.once('close', hear);
    },
    /**
     * @param {Request} asked
     * @param {Response} response
     * @returns {Promise<boolean>} whether it was answered
     */
    async answer(asked, response) {
      const { method, url = '', headers } = asked;
      const [path = '', query = ''] = url.split('?');
      const shows = method === 'GET' && headers[DRAWN] !== word ? shownOn(path) : undefined;
      // A question makes a page of its own; the app marks how it asks for a part of one.
      if (!shows || !/^(?:_rsc=[\w-]*)?$/.test(query)) return false;
      const night = cookieIn(headers.cookie, 'dark-pour-theme') ?? '';
      const key = JSON.stringify([
        path,
        query,
        night,
        headers.host,
        new Date().getDate(),
        ...DECIDING.map((name) => headers[name]),
      ]);
      const page = await cache
        .page(key, shows, () => turns.draw(() => draw(server, asked)), Date.now())
        .catch(() => undefined);
      // It could not be asked for: the app is asked for this one alone.
      if (!page) return false;
      const { body, isZipped } = bodyFor(page, String(headers['accept-encoding'] ?? ''));
      for (const [name, value] of Object.entries(page.headers)) response.setHeader(name, value);
      response.setHeader('vary', [page.headers.vary, 'accept-encoding'].flat().filter(Boolean).join(', '));
      if (isZipped) response.setHeader('content-encoding', 'gzip');
      response.writeHead(page.status, { 'content-length': body.length });
      response.end(body);
      return true;
    },
  };
}
