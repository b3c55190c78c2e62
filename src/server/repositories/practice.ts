import { asc, desc, eq } from 'drizzle-orm';
import { MOST_TRIES, type PracticeAnswer, type PracticeTry, practiceTrySchema } from '@/formats/practice';
import type { Database } from '../db/query-builder';
import { practiceTries } from '../db/schema';
import { readStored } from './stored-value';

/** Keeps an exercise that was done; told twice, it is kept once. */
export async function keepTry(db: Database, done: PracticeTry, now: Date): Promise<void> {
  await db
    .insert(practiceTries)
    .values({ ...done, at: now })
    .onConflictDoNothing();
}

/** Who practises here, and what one of them has done, the oldest first. */
export async function readPractice(db: Database, learner: string | undefined): Promise<PracticeAnswer> {
  const names = await db
    .selectDistinct({ learner: practiceTries.learner })
    .from(practiceTries)
    .orderBy(asc(practiceTries.learner));
  const rows =
    learner === undefined
      ? []
      : await db
          .select()
          .from(practiceTries)
          .where(eq(practiceTries.learner, learner))
          .orderBy(desc(practiceTries.at))
          .limit(MOST_TRIES);
  return {
    learners: names.map((each) => each.learner),
    tries: rows.toReversed().map(({ at, ...row }) => ({
      ...readStored(practiceTrySchema, row, 'an exercise'),
      at: at.getTime(),
    })),
  };
}

/** Deletes all that a learner has done. */
export async function forgetLearner(db: Database, learner: string): Promise<void> {
  await db.delete(practiceTries).where(eq(practiceTries.learner, learner));
}
