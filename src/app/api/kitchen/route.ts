import { NextResponse } from 'next/server';
import { sharedDatabase } from '@/server/db/database';
import { answering } from '@/server/read-request';
import { kitchenKnowledge } from '@/server/repositories/kitchen-tests';

/** What the kitchen's own tests have taught, from all of them at once, and what each says. */
export async function GET() {
  return answering(async () => {
    const { db } = await sharedDatabase();
    return NextResponse.json(await kitchenKnowledge(db));
  });
}
