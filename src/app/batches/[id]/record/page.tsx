import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { RecordScreen } from '@/features/record/record-screen';
import { sharedDatabase } from '@/server/db/database';
import { findBatch, openBatch } from '@/server/repositories/batch-rows';

export const dynamic = 'force-dynamic';

type Props = { params: Promise<{ id: string }> };

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const { db } = await sharedDatabase();
  const found = await findBatch(db, (await params).id);
  return { title: found ? `${found.head.name}: record` : 'Not found' };
}

export default async function RecordPage({ params }: Props) {
  const { id } = await params;
  const { db } = await sharedDatabase();
  const opened = await openBatch(db, id);
  if (!opened) notFound();
  return <RecordScreen key={id} opened={opened} />;
}
