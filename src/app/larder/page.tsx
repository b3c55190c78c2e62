import type { Metadata } from 'next';
import { LarderScreen } from '@/features/larder/larder-screen';
import { sharedDatabase } from '@/server/db/database';
import { listIngredients, whereUsed } from '@/server/repositories/larder';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Larder' };

export default async function LarderPage() {
  const { db } = await sharedDatabase();
  const [ingredients, used] = await Promise.all([listIngredients(db), whereUsed(db)]);
  return <LarderScreen ingredients={ingredients} usedIn={Object.fromEntries(used)} />;
}
