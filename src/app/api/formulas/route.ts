import { NextResponse } from 'next/server';
import { z } from 'zod';
import { formulaFileSchema } from '@/formats/formula-file';
import { sharedDatabase } from '@/server/db/database';
import { answering, readJson } from '@/server/read-request';
import { createFormula } from '@/server/repositories/formulas';

const createSchema = z.object({ formula: formulaFileSchema, baseId: z.string().max(80).optional() });

/** Keeps a new formula. */
export async function POST(request: Request) {
  return answering(async () => {
    const { formula, baseId } = await readJson(request, createSchema);
    const { db } = await sharedDatabase();
    return NextResponse.json(await createFormula(db, formula, new Date(), baseId), { status: 201 });
  });
}
