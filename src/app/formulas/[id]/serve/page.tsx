import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { ServeScreen } from '@/features/serve/serve-screen';
import { sharedDatabase } from '@/server/db/database';
import { variantsOf } from '@/server/repositories/formula-list';
import { findFormula } from '@/server/repositories/formulas';
import { someIngredients } from '@/server/repositories/larder';

export const dynamic = 'force-dynamic';

type Props = { params: Promise<{ id: string }> };

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const { db } = await sharedDatabase();
  const formula = await findFormula(db, (await params).id);
  return { title: formula ? `${formula.file.name}: serve` : 'Not found' };
}

/** A formula on its way to the table. */
export default async function ServePage({ params }: Props) {
  const { id } = await params;
  const { db } = await sharedDatabase();
  const formula = await findFormula(db, id);
  if (!formula) notFound();
  const variants = (await variantsOf(db, formula.baseId ?? id)).filter((each) => each.id !== id);
  const files = [formula, ...variants].map(({ file }) => file);
  const ids = [...new Set(files.flatMap(({ lines }) => lines.map(({ ingredient }) => ingredient)))];
  return (
    <ServeScreen
      key={id}
      id={id}
      file={formula.file}
      variants={variants.map(({ file }) => file)}
      ingredients={await someIngredients(db, ids)}
    />
  );
}
