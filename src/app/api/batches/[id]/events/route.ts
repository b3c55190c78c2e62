import { NextResponse } from 'next/server';
import { tellSchema } from '@/formats/batch';
import { announce } from '@/server/changes/changes';
import { sharedDatabase } from '@/server/db/database';
import { CHANGED } from '@/server/page-cache.mjs';
import { answering, RequestError, readJson } from '@/server/read-request';
import { readLog, tell } from '@/server/repositories/batch-log';

type Context = { params: Promise<{ id: string }> };

const afterSchema = tellSchema.shape.after;

/** What a tablet does not know yet: `?after=12`. */
export async function GET(request: Request, { params }: Context) {
  return answering(async () => {
    const after = afterSchema.safeParse(Number(new URL(request.url).searchParams.get('after') ?? '0'));
    if (!after.success) throw new RequestError(400, 'After which event is a number, 0 or more.');
    const { db } = await sharedDatabase();
    const answer = await readLog(db, (await params).id, after.data, new Date());
    if (!answer) throw new RequestError(404, 'This batch is not here.');
    return NextResponse.json(answer);
  });
}

/** Adds to a batch's log what a tablet tells, and answers what it does not know yet. */
export async function POST(request: Request, { params }: Context) {
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
    // The time as it leaves: the write may have waited for another.
    const nowMs = Math.max(answer.nowMs, Date.now());
    return NextResponse.json(
      { ...answer, nowMs },
      { headers: answer.state === 'running' ? { [CHANGED]: 'batches' } : {} },
    );
  });
}
