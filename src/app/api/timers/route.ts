import { NextResponse } from 'next/server';
import { sharedDatabase } from '@/server/db/database';
import { kitchenTimers } from '@/server/kitchen-timers';
import { answering } from '@/server/read-request';

/** Everything in the kitchen that ends at a time, and what time it is on the server's clock. */
export async function GET() {
  return answering(async () => {
    const { db } = await sharedDatabase();
    const timers = await kitchenTimers(db);
    return NextResponse.json({ timers, nowMs: Date.now() });
  });
}
