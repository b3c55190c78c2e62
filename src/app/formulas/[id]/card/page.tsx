import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { CardPage } from '@/features/card/card-page';
import { sharedDatabase } from '@/server/db/database';
import { findFormula } from '@/server/repositories/formulas';
import { someIngredients } from '@/server/repositories/larder';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Bench card' };

export default async function BenchCardPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const { db } = await sharedDatabase();
  const formula = await findFormula(db, id);
  if (!formula) notFound();
  const ingredients = await someIngredients(
    db,
    formula.file.lines.map(({ ingredient }) => ingredient),
  );
  return <CardPage id={id} file={formula.file} ingredients={ingredients} />;
}
