import { createHash } from 'node:crypto';
import { eq, lt } from 'drizzle-orm';
import type { Database } from '../db/query-builder';
import { answeredWrites } from '../db/schema';

/** Days an answer is kept: no tablet asks again after so long. */
const KEPT_DAYS = 30;
const DAY_MS = 86_400_000;

/** The key of a write was used for another one. */
export class KeyUsedError extends Error {
  override readonly name = 'KeyUsedError';
}

/** What a tablet asked, and the key it made for it. */
export interface KeyedWrite {
  /** nothing where whoever asks makes none: then it is done each time */
  readonly key: string | undefined;
  /** route and contents */
  readonly asked: unknown;
}

/**
 * Does a write once, however often it is asked for under its key: in one transaction with its answer, so that neither stands without the other.
 *
 * @param work does it; what it throws leaves nothing behind, its key neither
 * @throws {KeyUsedError} the key was used for something else
 */
export async function once<Answer>(
  db: Database,
  { key, asked }: KeyedWrite,
  now: Date,
  work: (tx: Database) => Promise<Answer>,
): Promise<Answer> {
  if (key === undefined) return db.transaction(work);
  const hash = createHash('sha256').update(JSON.stringify(asked)).digest('hex');
  return db.transaction(async (tx) => {
    // One that asks the same at this moment waits here until the first is done.
    const mine = await tx
      .insert(answeredWrites)
      .values({ key, asked: hash, answer: {}, at: now })
      .onConflictDoNothing()
      .returning({ key: answeredWrites.key });
    if (mine.length === 0) {
      const [before] = await tx.select().from(answeredWrites).where(eq(answeredWrites.key, key));
      if (before?.asked !== hash) throw new KeyUsedError('This was asked under the key of something else.');
      return before.answer as Answer;
    }
    const answer = await work(tx);
    await tx.update(answeredWrites).set({ answer }).where(eq(answeredWrites.key, key));
    return answer;
  });
}

/** Forgets what was answered long ago. */
export async function forgetAnswered(db: Database, now: Date): Promise<void> {
  await db.delete(answeredWrites).where(lt(answeredWrites.at, new Date(now.getTime() - KEPT_DAYS * DAY_MS)));
}
