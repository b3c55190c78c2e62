import type { z } from 'zod';

/** Something kept in the database that this version cannot read: it stays as it is and is told. */
export class UnreadableError extends Error {
  override readonly name = 'UnreadableError';

  constructor(
    /** what it is, as a cook knows it */
    readonly what: string,
    reason: string,
  ) {
    super(`${what} cannot be read: ${reason}. It is kept as it is.`);
  }
}

/**
 * Reads what the database holds by the schema that read it when it came in, so that a field added since has its default.
 *
 * @param what named in the error
 * @throws {UnreadableError} with the first place and reason
 */
export function readStored<Schema extends z.ZodType>(schema: Schema, value: unknown, what: string): z.output<Schema> {
  const read = schema.safeParse(value);
  if (read.success) return read.data;
  const [issue] = read.error.issues;
  throw new UnreadableError(what, `${issue?.path.join('.') || 'all of it'} ${issue?.message ?? ''}`.trim());
}
