// @ts-check
/** Serves the app behind its guard. Run with the options of `scripts/run/serve.mjs`, as JSON. */
import { readFileSync, writeFileSync } from 'node:fs';
import { createServer, request } from 'node:http';
import { createServer as createSecureServer, request as secureRequest } from 'node:https';
import path from 'node:path';
import next from 'next';
import { answerAccess } from './auth/access-route.mjs';
import { logIn } from './auth/login.mjs';
import { makePrivate } from './auth/private-files.mjs';
import { isFromHere } from './auth/this-machine.mjs';
import { commandToken, isSameText, pageToken } from './auth/tokens.mjs';
import { cookieIn, ownNames, refusalOf, TOKEN_COOKIE } from './guard.mjs';
import { keptPages } from './kept-pages.mjs';
import { isLoopback } from './loopback.mjs';

/** Idle connections stay this long: a tablet that asks every ten seconds must not meet one that is just being closed. */
const KEEP_ALIVE_MS = 75_000;
/** Longest the head of a request may take to come, and all of it: the largest body on a slow network. */
const LIMITS = { headersTimeout: 10_000, requestTimeout: 180_000, connectionsCheckingInterval: 5_000 };
const YEAR_S = 31_536_000;

process.umask(0o077);

const { host, port, folder, mode, allowed, cert, key } = JSON.parse(process.argv[2] ?? '{}');
const isSecure = Boolean(cert && key);
/** Reached from other machines: only with the passcode. */
const isOpen = !isLoopback(host);
const kitchen = { folder, isSecure };
if (isOpen) process.env.DARK_POUR_LOGIN = 'yes';

const [token, command] = [pageToken(folder), commandToken(folder)];
for (const each of [folder, process.env.DARK_POUR_BACKUPS ?? `${folder}-backups`]) makePrivate(each);
const names = ownNames(['0.0.0.0', '::'].includes(host) ? allowed : [host, ...allowed]);
const app = next({ dev: mode === 'dev', hostname: host, port });
const answer = app.getRequestHandler();
await app.prepare();

/** Whether a command of this machine asks: it can read what only the owner of the data folder can. @param {import('node:http').IncomingMessage} asked */
const isCommand = (asked) => isFromHere(asked) && isSameText(asked.headers.authorization ?? '', `Bearer ${command}`);

/**
 * @param {import('node:http').ServerResponse} response
 * @param {number} status
 * @param {string} message
 */
function refuse(response, status, message) {
  if (!response.headersSent) response.writeHead(status, { 'content-type': 'application/json', connection: 'close' });
  response.end(JSON.stringify({ message, issues: [] }));
}

/** @param {import('node:http').IncomingMessage} asked @param {import('node:http').ServerResponse} response */
async function hear(asked, response) {
  const { method = '', url = '', headers } = asked;
  response.setHeader('x-content-type-options', 'nosniff');
  const refusal = refusalOf({ method, url, headers }, { names, token });
  if (refusal) {
    refuse(response, refusal.status, refusal.message);
    return;
  }
  if (isOpen && !isCommand(asked) && (await logIn(asked, response, kitchen))) return;
  if (await answerAccess(asked, response, kitchen)) return;
  if (cookieIn(headers.cookie, TOKEN_COOKIE) !== token) {
    const secure = isSecure ? '; Secure' : '';
    response.appendHeader(
      'set-cookie',
      `${TOKEN_COOKIE}=${token}; Path=/; Max-Age=${YEAR_S}; HttpOnly; SameSite=Strict${secure}`,
    );
  }
  pages.hearWrite(asked, response);
  // While it is developed a page changes without anybody saving.
  if (mode !== 'dev' && (await pages.answer(asked, response))) return;
  await answer(asked, response);
}

/** @type {import('node:http').RequestListener} */
const listener = (asked, response) => {
  hear(asked, response).catch((error) => {
    process.stderr.write(`${error?.stack ?? error}\n`);
    refuse(response, 500, 'Something went wrong here. Try again.');
  });
};
const server = isSecure
  ? createSecureServer({ ...LIMITS, cert: readFileSync(cert), key: readFileSync(key) }, listener)
  : createServer(LIMITS, listener);
server.keepAliveTimeout = KEEP_ALIVE_MS;
// Nothing here speaks another protocol; the reload of development does, on this machine.
if (mode === 'dev' && !isOpen) server.on('upgrade', app.getUpgradeHandler());
else {
  /** @param {unknown} _ @param {import('node:net').Socket} socket */
  const refuseUpgrade = (_, socket) => {
    socket.end('HTTP/1.1 400 Bad Request\r\nconnection: close\r\n\r\nNothing here speaks another protocol.\n');
    socket.destroySoon();
  };
  server.on('upgrade', refuseUpgrade);
  // The framework listens by itself from its first request on, and holds what it does not know.
  server.on('newListener', (event, heard) => {
    if (event === 'upgrade') process.nextTick(() => server.off('upgrade', heard));
  });
}

/** Where this machine reaches it. */
const at = host === '0.0.0.0' || host === '::' ? '127.0.0.1' : host;
const address = `http${isSecure ? 's' : ''}://${at.includes(':') ? `[${at}]` : at}:${port}`;
const pages = keptPages({ address, authorization: `Bearer ${command}` });

/** The first request, asked from inside: with it the data is opened, or the process ends with a word. */
const opened = () =>
  new Promise((resolve) => {
    const ask = isSecure ? secureRequest : request;
    const headers = { authorization: `Bearer ${command}` };
    ask(`${address}/api/health`, { headers, rejectUnauthorized: false }, (answer) => {
      answer.resume();
      answer.on('end', resolve);
    }).end();
  });

server.listen(port, host, async () => {
  await opened();
  // Where the shell commands find a kitchen that is open.
  writeFileSync(path.join(folder, 'server.json'), `${JSON.stringify({ address })}\n`, { mode: 0o600 });
  process.send?.('listening');
});
