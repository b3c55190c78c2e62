import { NextResponse } from 'next/server';
import { z } from 'zod';
import { formulaFileSchema } from '@/formats/formula-file';
import { sharedDatabase } from '@/server/db/database';
import { keyedWrite } from '@/server/keyed-write';
import { answering, readJson } from '@/server/read-request';
import { listFormulas } from '@/server/repositories/formula-list';
import { createFormula } from '@/server/repositories/formulas';

const createSchema = z.object({ formula: formulaFileSchema, baseId: z.string().max(80).optional() });

/** All formulas, the last changed first. */
export async function GET() {
  return answering(async () => {
    const { db } = await sharedDatabase();
    return NextResponse.json({ formulas: await listFormulas(db) });
  });
}

/** Keeps a new formula; with a base, as a variant of it. */
export async function POST(request: Request) {
  return answering(async () => {
    const asked = await readJson(request, createSchema);
    const { formula, baseId } = asked;
    const kept = await keyedWrite(request, asked, (tx) => createFormula(tx, formula, new Date(), baseId));
    return NextResponse.json(kept, { status: 201 });
  });
}
