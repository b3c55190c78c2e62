import { refusedSchema } from '@/formats/server-answers';
import { beginLooking } from './looking';
import { writeKey } from './write-key';

/** A request the server refused, in a cook's words, with the fields it points at. */
export class RefusedError extends Error {
  override readonly name = 'RefusedError';

  constructor(
    message: string,
    readonly status: number,
    readonly issues: readonly { path: string; message: string }[] = [],
  ) {
    super(message);
  }
}

/** Reads a refusal out of an answer. */
export function refusal(status: number, value: unknown): RefusedError {
  const refused = refusedSchema.safeParse(value);
  return refused.success
    ? new RefusedError(refused.data.message, status, refused.data.issues)
    : new RefusedError('The server did not answer as it should. Try again.', status);
}

/** What is said where an answer did not come: nobody knows then whether the server heard. */
const UNANSWERED: Readonly<Record<'GET' | 'write' | 'once', string>> = {
  GET: 'The server cannot be reached.',
  write: 'The server cannot be reached. It is not known whether this was saved.',
  once: 'The server cannot be reached. It is not known whether this was saved. Press again: it is never saved twice.',
};

async function send(path: string, method: string, body: unknown, key?: string): Promise<unknown> {
  let answer: Response;
  let value: unknown;
  try {
    answer = await fetch(path, {
      method,
      headers: {
        ...(body === undefined ? {} : { 'content-type': 'application/json' }),
        ...(key === undefined ? {} : { 'idempotency-key': key }),
      },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
    const text = await answer.text();
    value = text === '' ? undefined : JSON.parse(text);
  } catch (error) {
    // An answer that is no JSON was not cut off: it is none of ours.
    if (error instanceof SyntaxError) throw refusal(500, undefined);
    throw new RefusedError(UNANSWERED[key ? 'once' : method === 'GET' ? 'GET' : 'write'], 0);
  }
  if (!answer.ok) throw refusal(answer.status, value);
  return value;
}

/**
 * Sends a request with a JSON body and reads its answer.
 *
 * @throws {RefusedError} refused, or not answered (status 0)
 */
export const askServer = (path: string, method: string, body?: unknown): Promise<unknown> => send(path, method, body);

/** Waits before a write that was not answered is asked again, ms. */
const AGAIN_MS = [300, 700, 1500, 2500];
/** Answers with which nobody knows whether the write was done: what stands between tablet and server gave up. */
const UNSURE: ReadonlySet<number> = new Set([0, 502, 504]);

const isUnsure = (error: unknown) => error instanceof RefusedError && UNSURE.has(error.status);

/**
 * Sends a write that must not be done twice. Where its answer does not come the same is asked again, under the same key, and so is what a cook presses
 * again: the server does it once.
 *
 * @throws {RefusedError} refused, or still not answered (status 0)
 */
export async function askOnce(path: string, method: 'POST' | 'PUT' | 'DELETE', body?: unknown): Promise<unknown> {
  const { keyFor, settled } = writeKey(`${method} ${path} ${JSON.stringify(body ?? null)}`);
  const key = keyFor();
  try {
    const answer = await untilAnswered(() => send(path, method, body, key));
    settled();
    return answer;
  } catch (error) {
    if (!isUnsure(error)) settled();
    throw error;
  }
}

/**
 * Asks again and again what may be asked twice, until an answer comes.
 *
 * @throws what it was refused with, or after some seconds that it is still not answered
 */
export async function untilAnswered<Answer>(ask: () => Promise<Answer>): Promise<Answer> {
  let lookingEnds: () => void = () => undefined;
  try {
    for (const wait of AGAIN_MS) {
      try {
        return await ask();
      } catch (error) {
        if (!isUnsure(error)) throw error;
        lookingEnds();
        lookingEnds = beginLooking();
        await new Promise((resolve) => setTimeout(resolve, wait));
      }
    }
    return await ask();
  } finally {
    lookingEnds();
  }
}
