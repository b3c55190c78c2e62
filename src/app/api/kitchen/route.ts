import { NextResponse } from 'next/server';
import { sharedDatabase } from '@/server/db/database';
import { answering } from '@/server/read-request';
import { knowledgeBeside } from '@/server/repositories/kitchen-tests';

/** What the kitchen's own tests have taught, from all of them at once, with those of a batch (`?batch=ID`) and the last of the others. */
export async function GET(request: Request) {
  return answering(async () => {
    const { db } = await sharedDatabase();
    const batch = new URL(request.url).searchParams.get('batch') ?? undefined;
    return NextResponse.json(await knowledgeBeside(db, batch));
  });
}
