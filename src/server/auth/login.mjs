// @ts-check
/** Logging in to a kitchen that is open to its network: a page that asks for the passcode, and lets tablets in and out. */
import { cookieIn } from '../guard.mjs';
import { Attempts } from './attempts.mjs';
import { hasPasscode, isPasscode, setPasscode } from './passcode.mjs';
import { beginSession, endSession, SESSION_COOKIE, SESSION_S, sessionOf } from './sessions.mjs';
import { smallBody } from './small-body.mjs';
import { isAtThisMachine } from './this-machine.mjs';

/** A passcode and its name, whatever signs are in it. */
const FORM_LIMITS = { maxBytes: 2_000, maxMs: 5_000 };
const attempts = new Attempts();

/** @param {string} message @param {boolean} isHere */
const page = (message, isHere) => `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<title>Dark Pour</title><style>
body{margin:0;min-height:100vh;display:flex;align-items:center;justify-content:center;background:#e3e9e9;color:#182022;font:17px/1.5 system-ui,sans-serif}
main{background:#fafcfc;border:1px solid #c9d2d4;border-radius:14px;padding:28px 32px;width:min(320px,80vw)}
h1{margin:0 0 12px;font-size:1.5rem}label{display:block;margin-bottom:4px}
input,button{box-sizing:border-box;width:100%;height:48px;border-radius:9px;font:inherit}
input{border:1px solid #7d8c92;padding:0 12px;margin-bottom:14px}button{border:0;background:#1b3fd0;color:#fff;font-weight:600}
summary{margin:18px 0 8px;min-height:44px;line-height:44px;cursor:pointer}p{margin:0 0 12px;color:#b3261e}</style></head>
<body><main><h1>Dark Pour</h1>${message && `<p role="alert">${message}</p>`}
<form method="post" action="/enter"><label for="passcode">Passcode of the kitchen</label>
<input id="passcode" name="passcode" type="password" autocomplete="current-password" autofocus required>
<button>Log in</button></form>${
  isHere
    ? `<details><summary>Forgotten? Set a new passcode</summary><form method="post" action="/passcode"><label for="new">New passcode</label>
<input id="new" name="passcode" type="password" autocomplete="new-password" minlength="6" required>
<button>Set it</button></form></details>`
    : ''
}</main></body></html>`;

const HEADERS = {
  'content-type': 'text/html; charset=utf-8',
  'cache-control': 'no-store',
  'content-security-policy':
    "default-src 'none'; style-src 'unsafe-inline'; form-action 'self'; frame-ancestors 'none'",
  'x-content-type-options': 'nosniff',
  // A form tells where it stands: that is asked of one that sets a passcode.
  'referrer-policy': 'same-origin',
};

/** @param {string} value @param {number} ageS @param {boolean} isSecure */
const cookie = (value, ageS, isSecure) =>
  `${SESSION_COOKIE}=${value}; Path=/; Max-Age=${ageS}; HttpOnly; SameSite=Strict${isSecure ? '; Secure' : ''}`;

/**
 * @typedef {{ folder: string, isSecure: boolean }} Kitchen
 * @typedef {import('node:http').IncomingMessage} Request
 * @typedef {import('node:http').ServerResponse} Response
 */

/** The session a request belongs to. @param {Request} request @param {Kitchen} kitchen */
export const sessionFor = (request, { folder }) =>
  sessionOf(folder, cookieIn(request.headers.cookie, SESSION_COOKIE), Date.now());

/** @param {Request} request @param {Response} response @param {number} status @param {string} message @param {object} [more] */
function showPage(request, response, status, message, more = {}) {
  // What is left of a form goes with the connection.
  response.writeHead(status, { ...HEADERS, ...(request.complete ? {} : { connection: 'close' }), ...more });
  response.end(page(message, isAtThisMachine(request)));
}

/** @param {Request} request @returns {Promise<string | undefined>} */
async function passcodeIn(request) {
  const form = await smallBody(request, FORM_LIMITS);
  return form === undefined ? undefined : (new URLSearchParams(form).get('passcode') ?? '');
}

/** @param {Request} request @param {Response} response @param {Kitchen} kitchen */
function letIn(request, response, { folder, isSecure }) {
  const device = String(request.headers['user-agent'] ?? '');
  const address = request.socket.remoteAddress ?? '';
  const session = beginSession(folder, { device, address, nowMs: Date.now() });
  response.writeHead(303, { location: '/', 'set-cookie': cookie(session, SESSION_S, isSecure) });
  response.end();
}

/** @param {Request} request @param {Response} response @param {Kitchen} kitchen */
async function enter(request, response, kitchen) {
  const passcode = await passcodeIn(request);
  if (passcode === undefined) {
    showPage(request, response, 413, 'That is no passcode.');
    return;
  }
  const address = request.socket.remoteAddress ?? '';
  // Asked once the whole form is there: forms that were opened together are not judged together.
  const wait = Math.ceil(attempts.begin(address, Date.now()) / 1000);
  if (wait > 0) {
    const words = `Too many wrong tries. Wait ${wait} seconds.`;
    showPage(request, response, 429, words, { 'retry-after': String(wait) });
  } else if (await attempts.judge(() => isPasscode(kitchen.folder, passcode))) {
    attempts.succeeded(address);
    letIn(request, response, kitchen);
  } else if (hasPasscode(kitchen.folder)) {
    showPage(request, response, 403, 'That is not the passcode.');
  } else {
    const words = 'The passcode of this kitchen cannot be read. Set a new one on the machine itself.';
    showPage(request, response, 503, words);
  }
}

/** A new passcode from the screen of this machine, by a page of its own. @param {Request} request @param {Response} response @param {Kitchen} kitchen */
async function setNew(request, response, kitchen) {
  const passcode = await passcodeIn(request);
  const isOwnPage = request.headers.origin === `http${kitchen.isSecure ? 's' : ''}://${request.headers.host}`;
  if (!isAtThisMachine(request) || !isOwnPage) {
    showPage(request, response, 403, 'A passcode is set at the machine itself.');
    return;
  }
  const refused = await setPasscode(kitchen.folder, passcode ?? '');
  if (refused) showPage(request, response, 422, refused);
  else letIn(request, response, kitchen);
}

/**
 * Answers a request of a tablet that is not logged in, or that logs in or out; not one that may go on into the kitchen.
 *
 * @param {Request} request
 * @param {Response} response
 * @param {Kitchen} kitchen
 * @returns {Promise<boolean>} whether it was answered
 */
export async function logIn(request, response, kitchen) {
  const url = (request.url ?? '').split('?')[0];
  if (request.method === 'POST' && url === '/enter') {
    await enter(request, response, kitchen);
    return true;
  }
  if (request.method === 'POST' && url === '/passcode') {
    await setNew(request, response, kitchen);
    return true;
  }
  const session = sessionFor(request, kitchen);
  if (url === '/leave') {
    if (session) endSession(kitchen.folder, session.id, Date.now());
    response.writeHead(303, { location: '/', 'set-cookie': cookie('', 0, kitchen.isSecure) });
    response.end();
    return true;
  }
  if (session) return false;
  if (url?.startsWith('/api/')) {
    response.writeHead(401, { 'content-type': 'application/json', connection: 'close' });
    const message = 'This tablet is not logged in any more. Open the first page and give the passcode.';
    response.end(JSON.stringify({ message, issues: [] }));
  } else {
    showPage(request, response, 401, '');
  }
  return true;
}
