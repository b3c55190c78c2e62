import type { Metadata } from 'next';
import { LarderScreen } from '@/features/larder/larder-screen';
import { sharedDatabase } from '@/server/db/database';
import { listIngredients } from '@/server/repositories/larder';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Larder' };

/** Rows the page comes with; those of a bigger larder follow. */
const FIRST = 250;

export default async function LarderPage() {
  const { db } = await sharedDatabase();
  const ingredients = await listIngredients(db);
  return <LarderScreen carried={{ rows: ingredients.slice(0, FIRST), isWhole: ingredients.length <= FIRST }} />;
}
