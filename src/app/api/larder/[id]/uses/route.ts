import { NextResponse } from 'next/server';
import { sharedDatabase } from '@/server/db/database';
import { answering } from '@/server/read-request';
import { usesOf } from '@/server/repositories/larder';

/** The formulas that use an ingredient, by name. */
export async function GET(_request: Request, { params }: { params: Promise<{ id: string }> }) {
  return answering(async () => {
    const { db } = await sharedDatabase();
    return NextResponse.json({ usedIn: await usesOf(db, (await params).id) });
  });
}
