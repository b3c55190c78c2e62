import { NextResponse } from 'next/server';
import { sharedDatabase } from '@/server/db/database';
import { answering } from '@/server/read-request';
import { listFormulas } from '@/server/repositories/formulas';

/** All formulas in one file of the open format, archived ones included. */
export async function GET() {
  return answering(async () => {
    const { db } = await sharedDatabase();
    const formulas = (await listFormulas(db)).map(({ file }) => file);
    return NextResponse.json(
      { format: 'dark-pour/library', version: 1, formulas },
      { headers: { 'content-disposition': 'attachment; filename="dark-pour-library.json"' } },
    );
  });
}
