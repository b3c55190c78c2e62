// @ts-check
/** Slows down guessing: passcodes that are tried are counted by address and in all, and judged two at a time. */

/** Tries of an address, and of all together, after which there is a wait, and how long it is, ms. */
const TRIES = 5;
const TRIES_OF_ALL = 30;
const WAIT_MS = 30_000;
/** Tries that are judged at a time, and that may wait for it. */
const AT_ONCE = 2;
const MAX_WAITING = 10;

export class Attempts {
  /** @type {Map<string, { count: number, last: number }>} */
  #tried = new Map();
  /** @type {number[]} when somebody tried, ms */
  #all = [];
  #running = 0;
  /** @type {(() => void)[]} */
  #waiting = [];

  /**
   * Counts a try before it is judged, so that many at once are no more than many in turn.
   *
   * @param {string} address
   * @param {number} nowMs
   * @returns {number} 0, or how long to wait, ms; then it does not count
   */
  begin(address, nowMs) {
    const { count, last } = this.#tried.get(address) ?? { count: 0, last: 0 };
    this.#all = this.#all.filter((ms) => nowMs - ms < WAIT_MS && ms <= nowMs);
    const own = count < TRIES ? 0 : Math.max(last + WAIT_MS - nowMs, 0);
    const all = this.#all.length < TRIES_OF_ALL ? 0 : WAIT_MS - (nowMs - (this.#all[0] ?? nowMs));
    const wait = Math.max(own, all, this.#waiting.length >= MAX_WAITING ? 1_000 : 0);
    if (wait > 0) return wait;
    // Nobody can fill the memory with addresses.
    if (this.#tried.size > 10_000) this.#tried.clear();
    this.#tried.set(address, { count: count + 1, last: nowMs });
    this.#all.push(nowMs);
    return 0;
  }

  /** It was the right one: the tries of its address count no more. @param {string} address */
  succeeded(address) {
    this.#tried.delete(address);
  }

  /**
   * Judges a try when it is its turn.
   *
   * @template T
   * @param {() => Promise<T>} work
   * @returns {Promise<T>}
   */
  async judge(work) {
    if (this.#running >= AT_ONCE) await new Promise((resolve) => this.#waiting.push(() => resolve(undefined)));
    this.#running += 1;
    try {
      return await work();
    } finally {
      this.#running -= 1;
      this.#waiting.shift()?.();
    }
  }
}
