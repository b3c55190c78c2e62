import { NextResponse } from 'next/server';
import { LARGEST_LIBRARY_BYTES } from '@/formats/formula-file';
import { libraryRequestSchema, writeLibrary } from '@/formats/library-file';
import { sharedDatabase } from '@/server/db/database';
import { keyedWrite } from '@/server/keyed-write';
import { answering, readJson } from '@/server/read-request';
import { addLibrary, compareLibrary, wholeLibrary } from '@/server/repositories/library';

/** All formulas in one file of the open format, archived ones included. */
export async function GET() {
  return answering(async () => {
    const { db } = await sharedDatabase();
    return NextResponse.json(writeLibrary(await wholeLibrary(db)), {
      headers: { 'content-disposition': 'attachment; filename="dark-pour-library.json"' },
    });
  });
}

/**
 * Keeps all formulas of a file, or none of them. Where some are here already and nobody said what to do with them, nothing is done and what is here is
 * told.
 */
export async function POST(request: Request) {
  return answering(async () => {
    const asked = await readJson(request, libraryRequestSchema, {
      mostBytes: LARGEST_LIBRARY_BYTES,
    });
    const { db } = await sharedDatabase();
    const { formulas, kept, ingredients, take } = asked;
    const library = { formulas, kept, ingredients };
    if (kept && !take) {
      const here = await compareLibrary(db, library);
      if (here.absent < formulas.length) return NextResponse.json({ here });
    }
    const ids = await keyedWrite(request, asked, (tx) => addLibrary(tx, library, take ?? 'new', new Date()));
    return NextResponse.json({ ids }, { status: 201 });
  });
}
