import { NextResponse } from 'next/server';
import { sharedDatabase } from '@/server/db/database';
import { answering } from '@/server/read-request';
import { listNames } from '@/server/repositories/formula-list';

/** The names of all formulas, the last changed first. */
export async function GET() {
  return answering(async () => {
    const { db } = await sharedDatabase();
    return NextResponse.json({ formulas: await listNames(db) });
  });
}
