import { NextResponse } from 'next/server';
import { tellSchema } from '@/formats/batch';
import { announce } from '@/server/changes/changes';
import { sharedDatabase } from '@/server/db/database';
import { CHANGED } from '@/server/page-cache.mjs';
import { answering, RequestError, readJson } from '@/server/read-request';
import { tell } from '@/server/repositories/batch-log';

/** Adds to a batch's log what a tablet tells, and answers what it does not know yet; with no events it only asks. */
export async function POST(request: Request, { params }: { params: Promise<{ id: string }> }) {
  return answering(async () => {
    const told = await readJson(request, tellSchema, { isEachByItself: true });
    const { db } = await sharedDatabase();
    const { id } = await params;
    const answer = await tell(db, id, told, new Date()).catch((error) => {
      throw error instanceof RangeError ? new RequestError(422, error.message) : error;
    });
    if (!answer) throw new RequestError(404, 'This batch is not here.');
    if (told.events.length > 0) announce({ what: 'batch', id });
    // A batch that is over teaches: what was learnt stands on every page.
    return NextResponse.json(answer, { headers: answer.state === 'running' ? { [CHANGED]: 'batches' } : {} });
  });
}
