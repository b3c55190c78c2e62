import { NextResponse } from 'next/server';
import { sharedDatabase } from '@/server/db/database';
import { answering, RequestError } from '@/server/read-request';
import { findFormula } from '@/server/repositories/formulas';

/** The formula as a file in the open format. */
export async function GET(_request: Request, { params }: { params: Promise<{ id: string }> }) {
  return answering(async () => {
    const { db } = await sharedDatabase();
    const formula = await findFormula(db, (await params).id);
    if (!formula) throw new RequestError(404, 'This formula was deleted, or never was here.');
    const fileName = `${formula.file.name.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase()}.json`;
    return new NextResponse(`${JSON.stringify(formula.file, null, 2)}\n`, {
      headers: {
        'content-type': 'application/json; charset=utf-8',
        'content-disposition': `attachment; filename="formula.json"; filename*=UTF-8''${encodeURIComponent(fileName)}`,
      },
    });
  });
}
