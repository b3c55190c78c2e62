import type { Metadata } from 'next';
import { notFound, redirect } from 'next/navigation';
import { NothingCooking } from '@/features/cook/nothing-cooking';
import { sharedDatabase } from '@/server/db/database';
import { runningBatchOf } from '@/server/repositories/batches';
import { findFormula } from '@/server/repositories/formulas';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Cook' };

/** The batch of this formula that is on the stove, or the offer to begin one. */
export default async function CookPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const { db } = await sharedDatabase();
  const running = await runningBatchOf(db, id);
  if (running) redirect(`/batches/${running.id}`);
  const formula = await findFormula(db, id);
  if (!formula) notFound();
  const grams = formula.file.lines.reduce((sum, line) => sum + line.grams, 0);
  return <NothingCooking id={id} name={formula.file.name} grams={grams} />;
}
