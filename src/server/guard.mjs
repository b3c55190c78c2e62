// @ts-check
/**
 * Who may speak to the server, asked before anything else hears of a request. Plain JavaScript, since it stands in front of the bundled app.
 */
import { hostname, networkInterfaces } from 'node:os';
import routerState from 'next/dist/server/app-render/parse-and-validate-flight-router-state.js';
import { isSameText } from './auth/tokens.mjs';

/** Cookie by which a browser shows that it has had a page of ours; it is not sent along from pages of others. */
export const TOKEN_COOKIE = 'dark-pour-token';

const READS = new Set(['GET', 'HEAD', 'OPTIONS']);
const LOOKS = new Set(['GET', 'HEAD']);
const WRITES = new Set(['POST', 'PUT', 'PATCH', 'DELETE']);
/** Where somebody logs in, or sets a passcode at the machine itself. */
const FORMS = new Set(['/enter', '/passcode']);
/** Where a body is a picture, not JSON. */
const PHOTOS = '/api/photos';
/** Largest body that is read, bytes: a larder's import, a photo. */
const LARGEST_BODY = 40_000_000;

/**
 * @typedef {object} Asked what of a request decides
 * @property {string} method
 * @property {string} url path and query as they came
 * @property {Readonly<Record<string, string | string[] | undefined>>} headers
 *
 * @typedef {{ status: number, message: string }} Refusal
 */

/**
 * Names and addresses under which this machine is known: a page that had another name bound to our address may neither read nor write.
 *
 * @param {readonly string[]} others names given besides
 * @returns {Set<string>}
 */
export function ownNames(others = []) {
  const addresses = Object.values(networkInterfaces()).flatMap((each) => (each ?? []).map(({ address }) => address));
  const machine = hostname().toLowerCase();
  return new Set(
    ['localhost', '127.0.0.1', '::1', machine, `${machine}.local`, ...addresses, ...others].map((name) =>
      name.toLowerCase(),
    ),
  );
}

/**
 * Host and port of a `Host` header or of an origin.
 *
 * @param {string} authority
 */
function hostOf(authority) {
  try {
    const { hostname: name, host } = new URL(`http://${authority}`);
    return { name: name.replace(/^\[|\]$/g, '').toLowerCase(), host: host.toLowerCase() };
  } catch {
    return undefined;
  }
}

/** Whether a path can be read: no broken percent signs, nothing that cannot be seen. @param {string} url */
function isReadable(url) {
  try {
    // biome-ignore lint/suspicious/noControlCharactersInRegex: they are what is looked for
    const isPlain = !/[\u0000-\u001f\u007f]/.test(decodeURIComponent(url.split('?')[0] ?? ''));
    // No question holds what no text can.
    return url.startsWith('/') && isPlain && !/%00|\0/.test(url);
  } catch {
    return false;
  }
}

/**
 * Whether what a page says of where it stands can be read: the renderer breaks down over it otherwise.
 *
 * @param {string | string[] | undefined} header
 */
function isRouterState(header) {
  try {
    routerState.parseAndValidateFlightRouterState(header);
    return true;
  } catch {
    return false;
  }
}

/** @param {string | undefined} header @param {string} name */
export function cookieIn(header, name) {
  const found = (header ?? '').split(';').find((each) => each.trim().startsWith(`${name}=`));
  return found?.trim().slice(name.length + 1);
}

/**
 * Why a request is not let in; nothing for one that is.
 *
 * @param {Asked} asked
 * @param {{ names: ReadonlySet<string>, token: string }} ours
 * @returns {Refusal | undefined}
 */
export function refusalOf({ method, url, headers }, { names, token }) {
  if (!READS.has(method) && !WRITES.has(method)) return { status: 405, message: 'That cannot be done here.' };
  if (!isReadable(url)) return { status: 400, message: 'That address cannot be read.' };
  if (!isRouterState(headers['next-router-state-tree']))
    return { status: 400, message: 'That page cannot be made out.' };
  // Pages are looked at and nothing else.
  if (!LOOKS.has(method) && !url.startsWith('/api/') && !FORMS.has(url)) {
    return { status: 405, message: 'That cannot be done here.' };
  }
  const host = hostOf(String(headers.host ?? ''));
  if (!host || !names.has(host.name)) {
    return { status: 421, message: 'Dark Pour does not answer to that name. Start it with --allow-host to let it.' };
  }
  // Logging in looks at what is written there by itself: nobody has a token before it.
  if (READS.has(method) || (method === 'POST' && FORMS.has(url))) return undefined;
  const origin = String(headers.origin ?? '');
  const from = /^https?:\/\//.test(origin) ? hostOf(origin.replace(/^https?:\/\//, '')) : undefined;
  const shown = cookieIn(String(headers.cookie ?? ''), TOKEN_COOKIE) ?? '';
  if (from?.host !== host.host || !isSameText(shown, token)) {
    return { status: 403, message: 'Only pages of this Dark Pour may change its data.' };
  }
  return bodyRefusalOf(url, headers);
}

/**
 * Why a body is not read: of a kind nobody reads there, or too large.
 *
 * @param {string} url
 * @param {Asked['headers']} headers
 * @returns {Refusal | undefined}
 */
function bodyRefusalOf(url, headers) {
  const hasBody = headers['transfer-encoding'] !== undefined || Number(headers['content-length'] ?? 0) > 0;
  const fits = url === PHOTOS ? /^application\/octet-stream$/i : /^application\/json\b/i;
  if (hasBody && !fits.test(String(headers['content-type'] ?? ''))) {
    return { status: 415, message: 'Only JSON can be read here.' };
  }
  if (Number(headers['content-length'] ?? 0) > LARGEST_BODY) {
    return { status: 413, message: `That is over ${LARGEST_BODY / 1e6} MB; it should be far less.` };
  }
  return undefined;
}
