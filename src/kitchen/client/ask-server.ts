import { refusedSchema } from '@/formats/server-answers';

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

/**
 * Sends a request with a JSON body and reads its answer.
 *
 * @throws {RefusedError} refused, or not reached (status 0)
 */
export async function askServer(path: string, method: string, body?: unknown): Promise<unknown> {
  let answer: Response;
  try {
    answer = await fetch(path, {
      method,
      ...(body === undefined ? {} : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
    });
  } catch {
    throw new RefusedError('The server cannot be reached. Nothing was changed.', 0);
  }
  const value: unknown = await answer.json().catch(() => undefined);
  if (!answer.ok) throw refusal(answer.status, value);
  return value;
}
