import type { Metadata } from 'next';
import { notFound, redirect } from 'next/navigation';
import { CookScreen } from '@/features/cook/cook-screen';
import { sharedDatabase } from '@/server/db/database';
import { findBatch, openBatch } from '@/server/repositories/batch-rows';

export const dynamic = 'force-dynamic';

type Props = { params: Promise<{ id: string }> };

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const { db } = await sharedDatabase();
  const found = await findBatch(db, (await params).id);
  return { title: found ? `${found.head.name}: cook` : 'Not found' };
}

export default async function BatchPage({ params }: Props) {
  const { id } = await params;
  const { db } = await sharedDatabase();
  const opened = await openBatch(db, id);
  if (!opened) notFound();
  // One that is over is read, not cooked.
  if (opened.head.state !== 'running') redirect(`/batches/${id}/record`);
  return <CookScreen key={id} opened={opened} />;
}
