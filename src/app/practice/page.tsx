import type { Metadata } from 'next';
import { PracticeScreen } from '@/features/practice/practice-screen';
import { practiceFamilies } from '@/kitchen/practice/families';
import { sharedDatabase } from '@/server/db/database';
import { listLibrary } from '@/server/repositories/formula-list';
import { findFormula } from '@/server/repositories/formulas';
import { someIngredients } from '@/server/repositories/larder';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Practice' };

/** Own formulas that are practised, the last changed first. */
const MOST_OWN = 12;

type Props = { searchParams: Promise<{ formula?: string | string[] }> };

/** Practice pans: of one formula where it is named, else of the kitchen's own and of three plain families. */
export default async function PracticePage({ searchParams }: Props) {
  const { formula: asked } = await searchParams;
  const { db } = await sharedDatabase();
  const named = typeof asked === 'string' ? await findFormula(db, asked) : undefined;
  const own = named ? [named] : (await listLibrary(db, MOST_OWN)).formulas;
  const files = named ? [named.file] : [...practiceFamilies(), ...own.map(({ file }) => file)];
  const ids = [...new Set(files.flatMap(({ lines }) => lines.map(({ ingredient }) => ingredient)))];
  return (
    <PracticeScreen
      key={named?.id}
      files={files}
      ingredients={await someIngredients(db, ids)}
      only={named?.file.name}
    />
  );
}
