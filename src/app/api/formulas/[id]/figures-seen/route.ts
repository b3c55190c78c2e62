import { NextResponse } from 'next/server';
import { sharedDatabase } from '@/server/db/database';
import { answering } from '@/server/read-request';
import { sawFigures } from '@/server/repositories/formulas';

/** A cook has been told that the model moved the figures of this formula: it is not said again. */
export async function POST(_request: Request, { params }: { params: Promise<{ id: string }> }) {
  return answering(async () => {
    const { db } = await sharedDatabase();
    await sawFigures(db, (await params).id);
    return NextResponse.json({ seen: true });
  });
}
