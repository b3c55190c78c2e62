import { NextResponse } from 'next/server';
import { sharedDatabase } from '@/server/db/database';
import { answering, RequestError } from '@/server/read-request';
import { openBatch } from '@/server/repositories/batch-rows';

/** A batch with its whole log, and what time it is on the server. */
export async function GET(_request: Request, { params }: { params: Promise<{ id: string }> }) {
  return answering(async () => {
    const { db } = await sharedDatabase();
    const opened = await openBatch(db, (await params).id);
    if (!opened) throw new RequestError(404, 'This batch is not here.');
    return NextResponse.json(opened);
  });
}
