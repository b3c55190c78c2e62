import { NextResponse } from 'next/server';
import type { z } from 'zod';
import { LARGEST_FILE_BYTES } from '@/formats/formula-file';
import { forTheLog, troubleOf } from './db/trouble-of';
import { UnreadableError } from './repositories/stored-value';

const tooLarge = (mostBytes: number) =>
  new RequestError(413, `That is over ${Math.round(mostBytes / 1e6)} MB; it should be far less.`);

/** A NUL, as it is or as JSON escapes it: no database keeps one in a text. */
const HOLDS_NUL = /\0|(?:^|[^\\])(?:\\\\)*\\u0000/;

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

/**
 * Reads a JSON request body against a schema.
 *
 * @param mostBytes largest body that is read
 * @throws {RequestError} 413 too large, 400 not JSON or with a NUL in it, 422 does not fit, with the place of each fault
 */
export async function readJson<Schema extends z.ZodType>(
  request: Request,
  schema: Schema,
  mostBytes = LARGEST_FILE_BYTES,
): Promise<z.output<Schema>> {
  if (Number(request.headers.get('content-length') ?? 0) > mostBytes) throw tooLarge(mostBytes);
  const text = await request.text();
  if (text.length > mostBytes) throw tooLarge(mostBytes);
  if (HOLDS_NUL.test(text)) throw new RequestError(400, 'That holds a character that nobody can write.');
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    throw new RequestError(400, 'That is not JSON.');
  }
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
  if (Number(request.headers.get('content-length') ?? 0) > mostBytes) throw tooLarge(mostBytes);
  const bytes = Buffer.from(await request.arrayBuffer());
  if (bytes.length > mostBytes) throw tooLarge(mostBytes);
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
    return NextResponse.json({ message: 'Something went wrong here; nothing was changed.' }, { status: 500 });
  }
}
