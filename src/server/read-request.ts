import { NextResponse } from 'next/server';
import type { z } from 'zod';
import { capital } from '@/formats/capital';
import { LARGEST_FILE_BYTES } from '@/formats/formula-file';
import { unkeepable } from '@/formats/keepable-text';
import { forTheLog, troubleOf } from './db/trouble-of';
import { UnreadableError } from './repositories/stored-value';

const tooLarge = (mostBytes: number) =>
  new RequestError(413, `That is over ${Math.round(mostBytes / 1e6)} MB; it should be far less.`);

/** A request that cannot be used, with the answer for it. */
export class RequestError extends Error {
  override readonly name = 'RequestError';

  constructor(
    readonly status: number,
    message: string,
    readonly issues: readonly { path: string; message: string }[] = [],
  ) {
    super(message);
  }
}

/** Reads a body as it comes, and stops where it is over its limit: what says nothing of its length is not taken whole either. */
async function bodyOf(request: Request, mostBytes: number): Promise<Buffer> {
  if (Number(request.headers.get('content-length') ?? 0) > mostBytes) throw tooLarge(mostBytes);
  const parts: Uint8Array[] = [];
  let bytes = 0;
  for await (const part of (request.body ?? []) as AsyncIterable<Uint8Array>) {
    bytes += part.length;
    if (bytes > mostBytes) throw tooLarge(mostBytes);
    parts.push(part);
  }
  return Buffer.concat(parts);
}

/**
 * Reads a JSON request body against a schema.
 *
 * @param mostBytes largest body that is read
 * @param isEachByItself a list whose reader looks at each thing in it for letters that cannot be kept
 * @throws {RequestError} 413 too large, 400 not JSON or with a NUL in it, 422 does not fit, with the place of each fault
 */
export async function readJson<Schema extends z.ZodType>(
  request: Request,
  schema: Schema,
  { mostBytes = LARGEST_FILE_BYTES, isEachByItself = false }: { mostBytes?: number; isEachByItself?: boolean } = {},
): Promise<z.output<Schema>> {
  const text = (await bodyOf(request, mostBytes)).toString('utf8');
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    throw new RequestError(400, 'That is not JSON.');
  }
  // Only what is escaped, or stands there as it is, can be such a letter: most bodies need no look at each text.
  const trouble = isEachByItself || !/\\u|\0/i.test(text) ? undefined : unkeepable(value);
  if (trouble) throw new RequestError(400, `${capital(trouble)}.`);
  const parsed = schema.safeParse(value);
  if (parsed.success) return parsed.data;
  const issues = parsed.error.issues.map((issue) => ({ path: issue.path.join('.'), message: issue.message }));
  throw new RequestError(422, `${issues[0]?.path}: ${issues[0]?.message}`, issues);
}

/**
 * Reads a request body as it is.
 *
 * @throws {RequestError} 413 too large, 400 empty
 */
export async function readBytes(request: Request, mostBytes: number): Promise<Buffer> {
  const bytes = await bodyOf(request, mostBytes);
  if (bytes.length === 0) throw new RequestError(400, 'That is empty.');
  return bytes;
}

/** Runs a route's work and turns its refusals into answers a cook can read. */
export async function answering(work: () => Promise<Response>): Promise<Response> {
  try {
    return await work();
  } catch (error) {
    if (error instanceof RequestError) {
      return NextResponse.json({ message: error.message, issues: error.issues }, { status: error.status });
    }
    if (error instanceof UnreadableError)
      return NextResponse.json({ message: error.message, issues: [] }, { status: 409 });
    const trouble = troubleOf(error);
    if (trouble) return NextResponse.json({ message: trouble.message, issues: [] }, { status: 503 });
    process.stderr.write(`${forTheLog(error)}\n`);
    return NextResponse.json(
      { message: 'Something went wrong here. Check whether it was saved, then try again.' },
      { status: 500 },
    );
  }
}
