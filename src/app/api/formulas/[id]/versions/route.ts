import { NextResponse } from 'next/server';
import { z } from 'zod';
import { formulaFileSchema } from '@/formats/formula-file';
import { sharedDatabase } from '@/server/db/database';
import { keyedWrite } from '@/server/keyed-write';
import { answering, RequestError, readJson } from '@/server/read-request';
import { findFormula } from '@/server/repositories/formulas';
import { addVersion, listVersions } from '@/server/repositories/versions';

type Context = { params: Promise<{ id: string }> };

const versionSchema = z.object({
  name: z.string().trim().min(1, 'must not be empty').max(80, 'must be at most 80 characters'),
  note: z.string().trim().max(1000).default(''),
  /** kept by itself, before many rows are changed */
  automatic: z.boolean({ error: 'must be true or false' }).default(false),
  formula: formulaFileSchema,
});

/** The versions of a formula, the newest first. */
export async function GET(_request: Request, { params }: Context) {
  return answering(async () => {
    const { db } = await sharedDatabase();
    return NextResponse.json({ versions: await listVersions(db, (await params).id) });
  });
}

/** Keeps a state of the formula under a name. */
export async function POST(request: Request, { params }: Context) {
  return answering(async () => {
    const asked = await readJson(request, versionSchema);
    const { name, note, automatic, formula } = asked;
    const { id } = await params;
    const version = await keyedWrite(request, asked, async (tx) => {
      if (!(await findFormula(tx, id))) throw new RequestError(404, 'This formula was deleted, or never was here.');
      return addVersion(tx, id, { name, note, automatic, file: formula }, new Date());
    });
    return NextResponse.json(version, { status: 201 });
  });
}
