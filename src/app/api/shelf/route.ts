import { NextResponse } from 'next/server';
import { putAwaySchema } from '@/formats/shelf';
import { announce } from '@/server/changes/changes';
import { sharedDatabase } from '@/server/db/database';
import { keyedWrite } from '@/server/keyed-write';
import { answering, RequestError, readJson } from '@/server/read-request';
import { listShelf, putAway } from '@/server/repositories/shelf';

const DAY_MS = 86_400_000;

/** What stands on the shelf, the oldest first. */
export async function GET() {
  return answering(async () => {
    const { db } = await sharedDatabase();
    return NextResponse.json({ items: await listShelf(db) });
  });
}

/** Puts something away. */
export async function POST(request: Request) {
  return answering(async () => {
    const item = await readJson(request, putAwaySchema);
    // A tablet may lie a day ahead of the server’s clock, no more.
    if (Date.parse(`${item.madeOn}T00:00Z`) > Date.now() + DAY_MS) {
      throw new RequestError(422, 'It was made in the future: look at its date.', [
        { path: 'madeOn', message: 'is still to come' },
      ]);
    }
    const id = await keyedWrite(request, item, (tx) => putAway(tx, item, new Date()));
    announce({ what: 'shelf', id });
    return NextResponse.json({ id }, { status: 201 });
  });
}
