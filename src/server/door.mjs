// @ts-check
/** The door of a kitchen that is open to its network: a page that asks for the passcode, and lets in and out. */
import { cookieIn } from './guard.mjs';
import { isPasscode, isSession, newSession, SESSION_COOKIE, SESSION_S, Tries } from './passcode.mjs';

const LONGEST_FORM = 2_000;
const tries = new Tries();

/** @param {string} message */
const page = (message) => `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<title>Dark Pour</title><style>
body{margin:0;min-height:100vh;display:flex;align-items:center;justify-content:center;background:#e3e9e9;color:#182022;font:17px/1.5 system-ui,sans-serif}
form{background:#fafcfc;border:1px solid #c9d2d4;border-radius:14px;padding:28px 32px;width:min(320px,80vw)}
h1{margin:0 0 12px;font-size:1.5rem}label{display:block;margin-bottom:4px}
input,button{box-sizing:border-box;width:100%;height:48px;border-radius:9px;font:inherit}
input{border:1px solid #7d8c92;padding:0 12px;margin-bottom:14px}button{border:0;background:#1b3fd0;color:#fff;font-weight:600}
p{margin:0 0 12px;color:#b3261e}</style></head>
<body><form method="post" action="/enter"><h1>Dark Pour</h1>${message && `<p role="alert">${message}</p>`}
<label for="passcode">Passcode of the kitchen</label>
<input id="passcode" name="passcode" type="password" autocomplete="current-password" autofocus required>
<button>Come in</button></form></body></html>`;

const HEADERS = {
  'content-type': 'text/html; charset=utf-8',
  'cache-control': 'no-store',
  'content-security-policy':
    "default-src 'none'; style-src 'unsafe-inline'; form-action 'self'; frame-ancestors 'none'",
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'no-referrer',
};

/** @param {import('node:http').IncomingMessage} request @returns {Promise<string>} */
async function formOf(request) {
  let text = '';
  for await (const part of request) {
    text += part;
    if (text.length > LONGEST_FORM) break;
  }
  return new URLSearchParams(text.slice(0, LONGEST_FORM)).get('passcode') ?? '';
}

/** @param {string} value @param {number} ageS @param {boolean} isSecure */
const cookie = (value, ageS, isSecure) =>
  `${SESSION_COOKIE}=${value}; Path=/; Max-Age=${ageS}; HttpOnly; SameSite=Strict${isSecure ? '; Secure' : ''}`;

/**
 * Answers a request at the door; not one that may go on into the kitchen.
 *
 * @param {import('node:http').IncomingMessage} request
 * @param {import('node:http').ServerResponse} response
 * @param {{ folder: string, isSecure: boolean }} kitchen
 * @returns {Promise<boolean>} whether it was answered
 */
export async function atTheDoor(request, response, { folder, isSecure }) {
  const now = Date.now();
  const url = (request.url ?? '').split('?')[0];
  if (request.method === 'POST' && url === '/enter') {
    const address = request.socket.remoteAddress ?? '';
    const wait = tries.waitMs(address, now);
    if (wait > 0) {
      response.writeHead(429, { ...HEADERS, 'retry-after': String(Math.ceil(wait / 1000)) });
      response.end(page(`Too many wrong tries. Wait ${Math.ceil(wait / 1000)} seconds.`));
    } else if (isPasscode(folder, await formOf(request))) {
      tries.wasRight(address);
      response.writeHead(303, { location: '/', 'set-cookie': cookie(newSession(folder, now), SESSION_S, isSecure) });
      response.end();
    } else {
      tries.wasWrong(address, now);
      // What is left of a form without end goes with the connection.
      response.writeHead(403, { ...HEADERS, connection: 'close' });
      response.end(page('That is not the passcode.'));
    }
    return true;
  }
  if (url === '/leave') {
    response.writeHead(303, { location: '/', 'set-cookie': cookie('', 0, isSecure) });
    response.end();
    return true;
  }
  if (isSession(folder, cookieIn(request.headers.cookie, SESSION_COOKIE), now)) return false;
  if (url?.startsWith('/api/')) {
    response.writeHead(401, { 'content-type': 'application/json' });
    response.end(
      JSON.stringify({
        message: 'This tablet is not let in any more: open the first page and give the passcode.',
        issues: [],
      }),
    );
  } else {
    response.writeHead(401, HEADERS);
    response.end(page(''));
  }
  return true;
}
