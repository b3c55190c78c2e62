import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { BriefScreen } from '@/features/brief/brief-screen';
import { sharedDatabase } from '@/server/db/database';
import { findFormula, listFormulas } from '@/server/repositories/formulas';
import { listIngredients } from '@/server/repositories/larder';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Brief' };

type Props = { searchParams: Promise<{ from?: string }> };

/** A new brief; with `from`, another occasion of a formula. */
export default async function NewBriefPage({ searchParams }: Props) {
  const { from } = await searchParams;
  const { db } = await sharedDatabase();
  const of = from ? await findFormula(db, from) : undefined;
  if (from && !of) notFound();
  return (
    <BriefScreen
      key={from ?? 'new'}
      of={of && { id: of.id, revision: of.revision, file: of.file }}
      isFor={of !== undefined}
      formulas={(await listFormulas(db)).filter(({ archived }) => !archived).map(({ id, file }) => ({ id, file }))}
      ingredients={await listIngredients(db)}
    />
  );
}
