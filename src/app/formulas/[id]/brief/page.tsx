import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { BriefScreen } from '@/features/brief/brief-screen';
import { sharedDatabase } from '@/server/db/database';
import { findFormula, listFormulas } from '@/server/repositories/formulas';
import { listIngredients } from '@/server/repositories/larder';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Brief' };

type Props = { params: Promise<{ id: string }> };

/** The brief of a formula. */
export default async function BriefPage({ params }: Props) {
  const { id } = await params;
  const { db } = await sharedDatabase();
  const of = await findFormula(db, id);
  if (!of) notFound();
  return (
    <BriefScreen
      key={`${id} ${of.revision}`}
      of={{ id, revision: of.revision, file: of.file }}
      isFor={false}
      formulas={(await listFormulas(db))
        .filter(({ archived, id: other }) => !archived || other === id)
        .map(({ id: each, file }) => ({ id: each, file }))}
      ingredients={await listIngredients(db)}
    />
  );
}
