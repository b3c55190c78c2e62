import type { Metadata } from 'next';
import { CompareScreen } from '@/features/record/compare-screen';
import type { BatchAnswer } from '@/formats/batch';
import { sharedDatabase } from '@/server/db/database';
import { openBatch } from '@/server/repositories/batch-rows';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Side by side' };

const MOST = 4;

export default async function ComparePage({ searchParams }: { searchParams: Promise<{ ids?: string | string[] }> }) {
  const { ids } = await searchParams;
  const { db } = await sharedDatabase();
  const opened: BatchAnswer[] = [];
  for (const id of [ids].flat().join(',').split(',').slice(0, MOST)) {
    const found = await openBatch(db, id);
    // Of one formula: others have nothing in common to compare.
    if (!found || opened.some(({ head }) => head.formulaId !== found.head.formulaId || head.id === id)) continue;
    opened.push(found);
  }
  return <CompareScreen opened={opened} />;
}
