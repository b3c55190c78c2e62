import { NextResponse } from 'next/server';
import { newBatchSchema } from '@/formats/batch';
import { announce } from '@/server/changes/changes';
import { sharedDatabase } from '@/server/db/database';
import { freezeFormula } from '@/server/freeze-formula';
import { keyedWrite } from '@/server/keyed-write';
import { answering, readJson } from '@/server/read-request';
import { beginBatch, runningBatches } from '@/server/repositories/batches';

/** The batches that are not over. */
export async function GET() {
  return answering(async () => {
    const { db } = await sharedDatabase();
    return NextResponse.json({ batches: await runningBatches(db) });
  });
}

/** Begins a batch of a formula: a frozen copy of it, of its method and of the amount. */
export async function POST(request: Request) {
  return answering(async () => {
    const asked = await readJson(request, newBatchSchema);
    const begun = await keyedWrite(request, asked, async (tx) =>
      beginBatch(tx, asked.formulaId, await freezeFormula(tx, asked), new Date()),
    );
    announce({ what: 'batch', id: begun.id });
    return NextResponse.json(begun, { status: 201 });
  });
}
