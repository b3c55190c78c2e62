import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { MethodScreen } from '@/features/method/method-screen';
import { sharedDatabase } from '@/server/db/database';
import { usualProposal } from '@/server/method-of';
import { findFormula } from '@/server/repositories/formulas';
import { someIngredients } from '@/server/repositories/larder';

export const dynamic = 'force-dynamic';

type Props = { params: Promise<{ id: string }> };

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const { db } = await sharedDatabase();
  const formula = await findFormula(db, (await params).id);
  return { title: formula ? `${formula.file.name}: method` : 'Not found' };
}

export default async function MethodPage({ params }: Props) {
  const { id } = await params;
  const { db } = await sharedDatabase();
  const formula = await findFormula(db, id);
  if (!formula) notFound();
  const { revision, baseId, file } = formula;
  const used = file.lines.map(({ ingredient }) => ingredient);
  const ingredients = await someIngredients(db, used);
  return (
    <MethodScreen
      key={id}
      id={id}
      opened={{ revision, baseId, file, proposed: usualProposal(file, ingredients) }}
      ingredients={ingredients}
    />
  );
}
