import { sharedDatabase } from './db/database';
import type { Database } from './db/query-builder';
import { RequestError } from './read-request';
import { KeyUsedError, once } from './repositories/answered-writes';

/** Header in which a tablet sends the key it made for a write. */
const HEADER = 'idempotency-key';
const FORM = /^[\w-]{8,80}$/;

/**
 * Does what a request asks for once, however often it comes: its answer may have been lost on the way.
 *
 * @param asked the contents of the request
 * @param work in one transaction; what it throws leaves nothing behind
 * @throws {RequestError} the key has no form, or was used for something else
 */
export async function keyedWrite<Answer>(
  request: Request,
  asked: unknown,
  work: (tx: Database) => Promise<Answer>,
): Promise<Answer> {
  const key = request.headers.get(HEADER) ?? undefined;
  if (key !== undefined && !FORM.test(key)) throw new RequestError(422, 'The key of a write has 8 to 80 letters.');
  const { db } = await sharedDatabase();
  const { pathname } = new URL(request.url);
  return once(db, { key, asked: [request.method, pathname, asked] }, new Date(), work).catch((error) => {
    throw error instanceof KeyUsedError ? new RequestError(422, error.message) : error;
  });
}
