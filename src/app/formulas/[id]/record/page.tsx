import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { BookScreen } from '@/features/record/book-screen';
import { sharedDatabase } from '@/server/db/database';
import { bookChoices, lookUpBook } from '@/server/repositories/book';
import { findFormula } from '@/server/repositories/formulas';
import { missesOf } from '@/server/repositories/kitchen-tests';

export const dynamic = 'force-dynamic';

type Props = { params: Promise<{ id: string }> };

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const { db } = await sharedDatabase();
  const formula = await findFormula(db, (await params).id);
  return { title: formula ? `${formula.file.name}: record` : 'Not found' };
}

/** The batches of one formula. */
export default async function FormulaRecordPage({ params }: Props) {
  const { id } = await params;
  const { db } = await sharedDatabase();
  const found = await findFormula(db, id);
  if (!found) notFound();
  const formula = { id, name: found.file.name };
  const opened = await lookUpBook(db, { formula: id, skip: 0 });
  const choices = await bookChoices(db);
  return (
    <BookScreen
      key={id}
      opened={opened}
      choices={choices}
      hasFormulas
      formula={formula}
      misses={await missesOf(db, id)}
      nowMs={Date.now()}
    />
  );
}
