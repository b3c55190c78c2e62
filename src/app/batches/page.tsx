import type { Metadata } from 'next';
import { BatchesScreen } from '@/features/cook/batches-screen';
import { sharedDatabase } from '@/server/db/database';
import { runningBatches } from '@/server/repositories/batches';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Batches' };

export default async function BatchesPage() {
  const { db } = await sharedDatabase();
  return <BatchesScreen batches={await runningBatches(db)} />;
}
