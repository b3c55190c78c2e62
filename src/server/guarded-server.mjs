// @ts-check
/** Serves the app behind its guard. Run with the options of `scripts/run/serve.mjs`, as JSON. */
import { randomBytes } from 'node:crypto';
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createServer, request } from 'node:http';
import { createServer as createSecureServer, request as secureRequest } from 'node:https';
import path from 'node:path';
import next from 'next';
import { atTheDoor } from './door.mjs';
import { cookieIn, ownNames, refusalOf, TOKEN_COOKIE } from './guard.mjs';
import { isLoopback } from './loopback.mjs';

/** Idle connections stay this long: a tablet that asks every ten seconds must not meet one that is just being closed. */
const KEEP_ALIVE_MS = 75_000;
const YEAR_S = 31_536_000;

process.umask(0o077);

const { host, port, folder, mode, allowed, cert, key } = JSON.parse(process.argv[2] ?? '{}');
const isSecure = Boolean(cert && key);
/** Reached from other machines: only with the passcode. */
const isOpen = !isLoopback(host);
if (isOpen) process.env.DARK_POUR_DOOR = 'yes';

/** The token of this data folder: the same after a restart, so that an open bench goes on saving. */
function tokenOf() {
  const file = path.join(folder, 'token');
  try {
    const kept = readFileSync(file, 'utf8').trim();
    if (kept.length === 64) return kept;
  } catch {
    // Not made yet.
  }
  const made = randomBytes(32).toString('hex');
  mkdirSync(folder, { recursive: true });
  writeFileSync(file, `${made}\n`, { mode: 0o600 });
  return made;
}

const token = tokenOf();
const names = ownNames(['0.0.0.0', '::'].includes(host) ? allowed : [host, ...allowed]);
const app = next({ dev: mode === 'dev', hostname: host, port });
const answer = app.getRequestHandler();
await app.prepare();

/** @type {import('node:http').RequestListener} */
const listener = async (asked, response) => {
  const { method = '', url = '', headers } = asked;
  response.setHeader('x-content-type-options', 'nosniff');
  const refusal = refusalOf({ method, url, headers }, { names, token });
  if (refusal) {
    response.writeHead(refusal.status, { 'content-type': 'application/json', connection: 'close' });
    response.end(JSON.stringify({ message: refusal.message, issues: [] }));
    return;
  }
  // Who can read the token's file is at home here.
  const isInside = headers.authorization === `Bearer ${token}`;
  if (isOpen && !isInside && (await atTheDoor(asked, response, { folder, isSecure }))) return;
  if (cookieIn(headers.cookie, TOKEN_COOKIE) !== token) {
    response.appendHeader(
      'set-cookie',
      `${TOKEN_COOKIE}=${token}; Path=/; Max-Age=${YEAR_S}; HttpOnly; SameSite=Strict`,
    );
  }
  void answer(asked, response);
};
const server = isSecure
  ? createSecureServer({ cert: readFileSync(cert), key: readFileSync(key) }, listener)
  : createServer(listener);
server.keepAliveTimeout = KEEP_ALIVE_MS;
server.on('upgrade', app.getUpgradeHandler());

/** The first request, asked from inside: with it the data is opened, or the process ends with a word. @param {string} address */
const opened = (address) =>
  new Promise((resolve) => {
    const ask = isSecure ? secureRequest : request;
    const headers = { authorization: `Bearer ${token}` };
    ask(`${address}/api/health`, { headers, rejectUnauthorized: false }, (answer) => {
      answer.resume();
      answer.on('end', resolve);
    }).end();
  });

server.listen(port, host, async () => {
  const at = host === '0.0.0.0' || host === '::' ? '127.0.0.1' : host;
  const address = `http${isSecure ? 's' : ''}://${at.includes(':') ? `[${at}]` : at}:${port}`;
  await opened(address);
  // Where the shell commands find a kitchen that is open.
  writeFileSync(path.join(folder, 'server.json'), `${JSON.stringify({ address })}\n`, { mode: 0o600 });
  process.send?.('listening');
});
