import { NextResponse } from 'next/server';
import { z } from 'zod';
import { formulaFileSchema } from '@/formats/formula-file';
import { revisionSchema } from '@/formats/kept-number';
import { announce } from '@/server/changes/changes';
import { sharedDatabase } from '@/server/db/database';
import { keyedWrite } from '@/server/keyed-write';
import { CHANGED } from '@/server/page-cache.mjs';
import { answering, RequestError, readJson } from '@/server/read-request';
import { deleteFormula, findFormula, saveFormula } from '@/server/repositories/formulas';

type Context = { params: Promise<{ id: string }> };

const saveSchema = z.object({ revision: revisionSchema, formula: formulaFileSchema });

const GONE = 'This formula was deleted, or never was here.';

/** One formula as kept now. */
export async function GET(_request: Request, { params }: Context) {
  return answering(async () => {
    const { db } = await sharedDatabase();
    const formula = await findFormula(db, (await params).id);
    if (!formula) throw new RequestError(404, GONE);
    return NextResponse.json(formula);
  });
}

/** Saves over the revision it was opened at; 409 with what is kept when somebody else saved meanwhile. */
export async function PUT(request: Request, { params }: Context) {
  return answering(async () => {
    const { revision, formula } = await readJson(request, saveSchema);
    const { db } = await sharedDatabase();
    const result = await saveFormula(db, (await params).id, revision, formula, new Date());
    if (result.outcome === 'gone') throw new RequestError(404, GONE);
    if (result.outcome === 'stale') {
      return NextResponse.json(
        { message: 'Somebody else saved this formula meanwhile.', current: result.current },
        { status: 409 },
      );
    }
    announce({ what: 'formula', id: result.formula.id });
    const { revision: kept, updatedAt, id } = result.formula;
    const changed = ['formulas', ...[id, ...result.followed].map((each) => `formula:${each}`)];
    return NextResponse.json({ revision: kept, updatedAt }, { headers: { [CHANGED]: changed.join(',') } });
  });
}

/** Deletes so that it can be brought back. */
export async function DELETE(request: Request, { params }: Context) {
  return answering(async () => {
    const { id } = await params;
    if (!(await keyedWrite(request, null, (tx) => deleteFormula(tx, id, new Date()))))
      throw new RequestError(404, GONE);
    announce({ what: 'formula', id });
    return NextResponse.json({ deleted: true });
  });
}
