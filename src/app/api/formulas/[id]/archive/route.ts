import { NextResponse } from 'next/server';
import { z } from 'zod';
import { sharedDatabase } from '@/server/db/database';
import { answering, RequestError, readJson } from '@/server/read-request';
import { archiveFormula } from '@/server/repositories/formulas';

const archiveSchema = z.object({ archived: z.boolean() });

/** Puts a formula away, or takes it out again. */
export async function PUT(request: Request, { params }: { params: Promise<{ id: string }> }) {
  return answering(async () => {
    const { archived } = await readJson(request, archiveSchema);
    const { db } = await sharedDatabase();
    if (!(await archiveFormula(db, (await params).id, archived ? new Date() : null))) {
      throw new RequestError(404, 'This formula was deleted, or never was here.');
    }
    return NextResponse.json({ archived });
  });
}
