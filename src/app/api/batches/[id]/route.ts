import { NextResponse } from 'next/server';
import { sharedDatabase } from '@/server/db/database';
import { answering, RequestError } from '@/server/read-request';
import { eventsAfter, findBatch } from '@/server/repositories/batch-rows';

/** A batch with its whole log, and what time it is on the server. */
export async function GET(_request: Request, { params }: { params: Promise<{ id: string }> }) {
  return answering(async () => {
    const { db } = await sharedDatabase();
    const { id } = await params;
    const found = await findBatch(db, id);
    if (!found) throw new RequestError(404, 'This batch is not here.');
    return NextResponse.json({ ...found, events: await eventsAfter(db, id, 0), nowMs: Date.now() });
  });
}
