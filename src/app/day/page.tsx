import type { Metadata } from 'next';
import { DayScreen } from '@/features/day/day-screen';
import { dayOf, daySchema } from '@/formats/day';
import { sharedDatabase } from '@/server/db/database';
import { nextDay, tasksOf } from '@/server/repositories/days';
import { findFormula } from '@/server/repositories/formulas';
import { someIngredients } from '@/server/repositories/larder';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Day' };

type Props = { searchParams: Promise<{ on?: string | string[] }> };

/** A day's work: the day asked for, else the next one on which something is to be made. */
export default async function DayPage({ searchParams }: Props) {
  const { db } = await sharedDatabase();
  const asked = daySchema.safeParse((await searchParams).on);
  const day = asked.success ? asked.data : ((await nextDay(db, dayOf(new Date()))) ?? dayOf(new Date()));
  const tasks = await tasksOf(db, day);
  const ids = [...new Set(tasks.map(({ formulaId }) => formulaId))];
  const found = await Promise.all(ids.map((id) => findFormula(db, id)));
  const formulas = found.flatMap((formula) => (formula ? [{ id: formula.id, file: formula.file }] : []));
  const used = formulas.flatMap(({ file }) => file.lines.map(({ ingredient }) => ingredient));
  return (
    <DayScreen key={day} day={day} tasks={tasks} formulas={formulas} ingredients={await someIngredients(db, used)} />
  );
}
