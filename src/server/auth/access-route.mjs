// @ts-check
/** Who may reach the kitchen, as Settings shows and changes it. Answered before the app, which does not know where a request comes from. */
import { sessionFor } from './login.mjs';
import { hasPasscode, setPasscode } from './passcode.mjs';
import { endSession, listSessions } from './sessions.mjs';
import { smallBody } from './small-body.mjs';
import { isAtThisMachine } from './this-machine.mjs';

const ROUTE = '/api/access';
const LIMITS = { maxBytes: 2_000, maxMs: 5_000 };

/**
 * @typedef {import('node:http').IncomingMessage} Request
 * @typedef {import('node:http').ServerResponse} Response
 * @typedef {{ folder: string, isSecure: boolean }} Kitchen
 */

/** @param {Response} response @param {number} status @param {object} value */
function answer(response, status, value) {
  response.writeHead(status, { 'content-type': 'application/json', 'cache-control': 'no-store' });
  response.end(JSON.stringify(value));
}

/** @param {Request} request @param {Kitchen} kitchen */
function accessNow(request, kitchen) {
  const own = sessionFor(request, kitchen)?.id;
  return {
    hasPasscode: hasPasscode(kitchen.folder),
    isThisMachine: isAtThisMachine(request),
    sessions: listSessions(kitchen.folder, Date.now()).map(({ hash: _, ...session }) => ({
      ...session,
      isOwn: session.id === own,
    })),
  };
}

/** @param {Request} request @param {Response} response @param {Kitchen} kitchen */
async function changePasscode(request, response, kitchen) {
  const refuse = (/** @type {number} */ status, /** @type {string} */ message) =>
    answer(response, status, { message, issues: [{ path: 'passcode', message }] });
  if (!isAtThisMachine(request)) return refuse(403, 'A passcode is set at the machine itself.');
  let passcode;
  try {
    ({ passcode } = JSON.parse((await smallBody(request, LIMITS)) ?? '{}'));
  } catch {
    return refuse(400, 'That is not JSON.');
  }
  if (typeof passcode !== 'string') return refuse(422, 'A passcode is a text.');
  const refused = await setPasscode(kitchen.folder, passcode);
  return refused ? refuse(422, refused) : answer(response, 200, accessNow(request, kitchen));
}

/**
 * Answers what is asked of it.
 *
 * @param {Request} request that may read and write here
 * @param {Response} response
 * @param {Kitchen} kitchen
 * @returns {Promise<boolean>} whether it was answered
 */
export async function answerAccess(request, response, kitchen) {
  const url = (request.url ?? '').split('?')[0] ?? '';
  const { method } = request;
  const [, id] = /^\/api\/access\/sessions\/([\w-]{1,40})$/.exec(url) ?? [];
  if (method === 'GET' && url === ROUTE) answer(response, 200, accessNow(request, kitchen));
  else if (method === 'PUT' && url === `${ROUTE}/passcode`) await changePasscode(request, response, kitchen);
  else if (method === 'DELETE' && id) {
    const isEnded = endSession(kitchen.folder, id, Date.now());
    answer(response, isEnded ? 200 : 404, isEnded ? accessNow(request, kitchen) : { message: 'It has ended already.' });
  } else return false;
  return true;
}
