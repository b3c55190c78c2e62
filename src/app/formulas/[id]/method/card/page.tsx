import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { MethodCard } from '@/features/method/method-card';
import { sharedDatabase } from '@/server/db/database';
import { findFormula } from '@/server/repositories/formulas';
import { someIngredients } from '@/server/repositories/larder';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Method card' };

export default async function MethodCardPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const { db } = await sharedDatabase();
  const formula = await findFormula(db, id);
  if (!formula) notFound();
  const { file } = formula;
  const used = file.lines.map(({ ingredient }) => ingredient);
  return <MethodCard id={id} file={file} ingredients={await someIngredients(db, used)} />;
}
