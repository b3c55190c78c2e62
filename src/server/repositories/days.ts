import { randomUUID } from 'node:crypto';
import { and, asc, count, eq, gte, isNull, min } from 'drizzle-orm';
import type { StoredTask } from '@/formats/day';
import type { Database } from '../db/query-builder';
import { dayTasks, formulas } from '../db/schema';

/** What is to be made on a day, the first ready first; a formula that was deleted is made on none. */
export async function tasksOf(db: Database, day: string): Promise<StoredTask[]> {
  return db
    .select({
      id: dayTasks.id,
      formulaId: dayTasks.formulaId,
      readyMinutes: dayTasks.readyMinutes,
      servedMinutes: dayTasks.servedMinutes,
    })
    .from(dayTasks)
    .innerJoin(formulas, and(eq(formulas.id, dayTasks.formulaId), isNull(formulas.deletedAt)))
    .where(eq(dayTasks.day, day))
    .orderBy(asc(dayTasks.readyMinutes), asc(dayTasks.id));
}

/** The next day, from one on, on which something is to be made. */
export async function nextDay(db: Database, from: string): Promise<string | undefined> {
  const [found] = await db
    .select({ day: min(dayTasks.day) })
    .from(dayTasks)
    .where(gte(dayTasks.day, from));
  return found?.day ?? undefined;
}

/** How much is on a day. */
export async function countTasks(db: Database, day: string): Promise<number> {
  const [found] = await db.select({ tasks: count() }).from(dayTasks).where(eq(dayTasks.day, day));
  return found?.tasks ?? 0;
}

export async function addTask(
  db: Database,
  day: string,
  task: Pick<StoredTask, 'formulaId' | 'readyMinutes'>,
): Promise<StoredTask> {
  const row = { id: randomUUID(), day, ...task };
  await db.insert(dayTasks).values(row);
  return { id: row.id, ...task, servedMinutes: null };
}

/** Gives some of what is on a day another time: all of them or none. */
export async function moveTasks(
  db: Database,
  day: string,
  moved: readonly Omit<StoredTask, 'formulaId'>[],
): Promise<void> {
  await db.transaction(async (tx) => {
    for (const { id, readyMinutes, servedMinutes } of moved) {
      await tx
        .update(dayTasks)
        .set({ readyMinutes, servedMinutes })
        .where(and(eq(dayTasks.id, id), eq(dayTasks.day, day)));
    }
  });
}

/** Takes a piece of work off its day. */
export async function removeTask(db: Database, day: string, id: string): Promise<boolean> {
  const gone = await db
    .delete(dayTasks)
    .where(and(eq(dayTasks.id, id), eq(dayTasks.day, day)))
    .returning({ id: dayTasks.id });
  return gone.length > 0;
}
