import { NextResponse } from 'next/server';
import { z } from 'zod';
import { formulaFileSchema, LARGEST_LIBRARY_BYTES, MOST_FORMULAS } from '@/formats/formula-file';
import { sharedDatabase } from '@/server/db/database';
import { answering, readJson } from '@/server/read-request';
import { createFormulas, listFormulas } from '@/server/repositories/formulas';

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

const addSchema = z.object({ formulas: z.array(formulaFileSchema).min(1).max(MOST_FORMULAS) });

/** Keeps all formulas of a file, or none of them. */
export async function POST(request: Request) {
  return answering(async () => {
    const { formulas } = await readJson(request, addSchema, LARGEST_LIBRARY_BYTES);
    const { db } = await sharedDatabase();
    return NextResponse.json({ ids: await createFormulas(db, formulas, new Date()) }, { status: 201 });
  });
}
