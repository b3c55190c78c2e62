import type { Metadata } from 'next';
import { BookScreen } from '@/features/record/book-screen';
import { sharedDatabase } from '@/server/db/database';
import { bookChoices, lookUpBook } from '@/server/repositories/book';
import { countFormulas } from '@/server/repositories/formula-list';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Book' };

export default async function BookPage() {
  const { db } = await sharedDatabase();
  const [opened, choices, count] = [await lookUpBook(db, { skip: 0 }), await bookChoices(db), await countFormulas(db)];
  return (
    <BookScreen opened={opened} choices={choices} hasFormulas={count > 0} formula={undefined} nowMs={Date.now()} />
  );
}
