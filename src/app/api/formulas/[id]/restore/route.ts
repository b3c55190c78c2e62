import { NextResponse } from 'next/server';
import { sharedDatabase } from '@/server/db/database';
import { answering, RequestError } from '@/server/read-request';
import { restoreFormula } from '@/server/repositories/formulas';

/** Brings a deleted formula back. */
export async function POST(_request: Request, { params }: { params: Promise<{ id: string }> }) {
  return answering(async () => {
    const { db } = await sharedDatabase();
    if (!(await restoreFormula(db, (await params).id))) throw new RequestError(404, 'There is nothing to bring back.');
    return NextResponse.json({ restored: true });
  });
}
