// @ts-check
/** Pages that are the same for every tablet, drawn once and kept until something on them is saved. */
import { gzipSync } from 'node:zlib';

/** Header in which an answer to a write says what it changed; one that says nothing changed everything. */
export const CHANGED = 'dark-pour-changed';
/** Pages that are kept at most; the one that was asked for longest ago goes. */
const MAX_PAGES = 300;

/**
 * @typedef {object} Page a page as it was drawn
 * @property {number} status
 * @property {Record<string, string | string[]>} headers without those of one connection
 * @property {Buffer} body
 * @property {Buffer} [zipped]
 *
 * @typedef {object} Kept
 * @property {number} version
 * @property {number} drawnMs
 * @property {Promise<Page>} page
 * @property {boolean} isDone
 * @property {Promise<Page>} [next] the drawing that begins when this one is done
 */

const LIST = ['all', 'formulas'];
const OF_FORMULA = /^\/formulas\/([\w-]{1,80})\/(?:balance|method)$/;
/** What each page shows; pages that are not here are drawn each time. */
const SHOWN = new Map([
  ['/', [...LIST, 'batches']],
  ['/formulas', LIST],
  ['/brief', LIST],
  ['/book', [...LIST, 'batches']],
  ['/shelf', ['all']],
  ['/larder', ['all']],
]);

/** What a page shows, where it is one that is kept. @param {string} path @returns {readonly string[] | undefined} */
export function shownOn(path) {
  const [, id] = OF_FORMULA.exec(path) ?? [];
  return id ? ['all', `formula:${id}`] : SHOWN.get(path);
}

/** What a change that is told to the tablets touches. @param {{ what: string, id?: string | undefined }} change */
export function touchedBy({ what, id }) {
  if (what === 'formula') return ['formulas', ...(id ? [`formula:${id}`] : [])];
  return what === 'batch' ? ['batches'] : ['all'];
}

/** What the framework writes into a page of which a part could not be drawn, though its head had said that all was well. */
const BROKEN = /data-dgst="(?!BAILOUT)|E\{\\?"digest/;

/** Whether a page is worth keeping: what is not there, or went wrong, is looked for again. @param {Page} page */
export const isWhole = ({ status, body }) => status === 200 && !BROKEN.test(body.toString('latin1'));

export class PageCache {
  /** @type {Map<string, number>} */
  #saves = new Map();
  /** @type {Map<string, Kept>} */
  #kept = new Map();
  #maxMs;

  /** @param {{ maxMs: number }} limits how long a page is kept at most: others may save without this process hearing of it, and days end */
  constructor({ maxMs }) {
    this.#maxMs = maxMs;
  }

  /** Something was saved. @param {readonly string[]} what */
  saved(what) {
    for (const each of what) this.#saves.set(each, (this.#saves.get(each) ?? 0) + 1);
  }

  /** @param {readonly string[]} shows */
  #versionOf(shows) {
    return shows.reduce((sum, each) => sum + (this.#saves.get(each) ?? 0), 0);
  }

  /**
   * A page as it is now. Who asks while it is drawn has the same drawing, unless something was saved since that began: then all who ask have the next
   * one, which begins when it is done.
   *
   * @param {string} key what tells this page from others
   * @param {readonly string[]} shows
   * @param {() => Promise<Page>} draw
   * @param {number} nowMs
   * @returns {Promise<Page>}
   */
  page(key, shows, draw, nowMs) {
    const kept = this.#kept.get(key);
    if (!kept) return this.#begin(key, shows, draw, nowMs);
    const isNow = kept.version === this.#versionOf(shows) && nowMs - kept.drawnMs < this.#maxMs;
    if (isNow) {
      this.#kept.delete(key);
      this.#kept.set(key, kept);
      return kept.page;
    }
    if (kept.isDone) return this.#begin(key, shows, draw, nowMs);
    kept.next ??= kept.page.then(
      () => this.page(key, shows, draw, Date.now()),
      () => this.page(key, shows, draw, Date.now()),
    );
    return kept.next;
  }

  /** @param {string} key @param {readonly string[]} shows @param {() => Promise<Page>} draw @param {number} nowMs */
  #begin(key, shows, draw, nowMs) {
    const page = draw();
    /** @type {Kept} */
    const kept = { version: this.#versionOf(shows), drawnMs: nowMs, page, isDone: false };
    this.#kept.delete(key);
    this.#kept.set(key, kept);
    const [oldest] = this.#kept.keys();
    if (this.#kept.size > MAX_PAGES && oldest !== undefined) this.#kept.delete(oldest);
    const forget = () => this.#kept.get(key) === kept && this.#kept.delete(key);
    page.then(
      (drawn) => {
        kept.isDone = true;
        if (!isWhole(drawn)) forget();
      },
      () => {
        kept.isDone = true;
        forget();
      },
    );
    return page;
  }
}

/** The body as a tablet takes it; packed once. @param {Page} page @param {string} accepted */
export function bodyFor(page, accepted) {
  if (!/\bgzip\b/.test(accepted)) return { body: page.body, isZipped: false };
  page.zipped ??= gzipSync(page.body, { level: 6 });
  return { body: page.zipped, isZipped: true };
}
