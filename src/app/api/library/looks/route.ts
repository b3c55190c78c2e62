import { NextResponse } from 'next/server';
import { pouredLooks } from '@/app/library-summaries';
import { looksQuerySchema, MOST_LOOKS } from '@/formats/book';
import { sharedDatabase } from '@/server/db/database';
import { answering, RequestError } from '@/server/read-request';

/** What the formulas that are named in `ids` look like as they are poured; those that are gone are left out. */
export async function GET(request: Request) {
  return answering(async () => {
    const ids = looksQuerySchema.safeParse(new URL(request.url).searchParams.get('ids')?.split(','));
    if (!ids.success) throw new RequestError(422, `Up to ${MOST_LOOKS} formulas can be asked for at a time.`);
    const { db } = await sharedDatabase();
    return NextResponse.json({ looks: await pouredLooks(db, ids.data) });
  });
}
