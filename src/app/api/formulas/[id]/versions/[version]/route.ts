import { NextResponse } from 'next/server';
import { sharedDatabase } from '@/server/db/database';
import { answering, RequestError } from '@/server/read-request';
import { removeVersion } from '@/server/repositories/versions';

/** Lets a version go. */
export async function DELETE(_request: Request, { params }: { params: Promise<{ id: string; version: string }> }) {
  return answering(async () => {
    const { id, version } = await params;
    const { db } = await sharedDatabase();
    if (!(await removeVersion(db, id, version))) throw new RequestError(404, 'This version is not there any more.');
    return NextResponse.json({ removed: true });
  });
}
