import type { Metadata } from 'next';
import { LibraryScreen } from '@/features/library/library-screen';
import { sharedDatabase } from '@/server/db/database';
import { countFormulas } from '@/server/repositories/formula-list';
import { allMisses } from '@/server/repositories/kitchen-tests';
import { summaries } from '../library-summaries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Formulas' };

/** Cards the page comes with; those of a bigger kitchen follow. */
const FIRST = 24;

export default async function FormulasPage() {
  const { db } = await sharedDatabase();
  const [{ formulas, unreadable }, count, misses] = await Promise.all([
    summaries(db, FIRST),
    countFormulas(db),
    allMisses(db),
  ]);
  return (
    <LibraryScreen
      carried={{ rows: formulas, isWhole: count === formulas.length + unreadable.length }}
      unreadable={unreadable}
      misses={misses}
    />
  );
}
