import type { Metadata } from 'next';
import { ShelfScreen } from '@/features/shelf/shelf-screen';
import { dayOf } from '@/formats/day';
import { sharedDatabase } from '@/server/db/database';
import { listShelf } from '@/server/repositories/shelf';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Shelf' };

export default async function ShelfPage() {
  const { db } = await sharedDatabase();
  return <ShelfScreen opened={await listShelf(db)} serverDay={dayOf(new Date())} />;
}
