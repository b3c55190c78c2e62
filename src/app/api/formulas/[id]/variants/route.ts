import { NextResponse } from 'next/server';
import { sharedDatabase } from '@/server/db/database';
import { answering } from '@/server/read-request';
import { variantsOf } from '@/server/repositories/formula-list';

/** The variants of a formula, by name. */
export async function GET(_request: Request, { params }: { params: Promise<{ id: string }> }) {
  return answering(async () => {
    const { db } = await sharedDatabase();
    return NextResponse.json({ variants: await variantsOf(db, (await params).id) });
  });
}
