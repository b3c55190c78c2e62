import { NextResponse } from 'next/server';
import { summaries } from '@/app/library-summaries';
import { sharedDatabase } from '@/server/db/database';
import { answering } from '@/server/read-request';

/** All formulas as the cards of the list show them, the last changed first. */
export async function GET() {
  return answering(async () => {
    const { db } = await sharedDatabase();
    return NextResponse.json({ formulas: (await summaries(db)).formulas });
  });
}
