import { NextResponse } from 'next/server';
import { pastBatchSchema } from '@/formats/book';
import { announce } from '@/server/changes/changes';
import { freezeFormula } from '@/server/freeze-formula';
import { keyedWrite } from '@/server/keyed-write';
import { answering, RequestError, readJson } from '@/server/read-request';
import { rememberedLog, writePastBatch } from '@/server/repositories/past-batches';

/** A tablet's clock may run ahead of the server's by so much, ms. */
const AHEAD_MS = 10 * 60_000;

/** Writes down a batch that was made on another day. */
export async function POST(request: Request) {
  return answering(async () => {
    const asked = await readJson(request, pastBatchSchema);
    if (asked.madeMs > Date.now() + AHEAD_MS) {
      throw new RequestError(422, 'It was made in the future: look at its date.', [
        { path: 'madeMs', message: 'is still to come' },
      ]);
    }
    const { formulaId, madeMs, by, happened } = asked;
    const madeAt = new Date(madeMs);
    const begun = await keyedWrite(request, asked, async (tx) => {
      const frozen = await freezeFormula(tx, asked);
      return writePastBatch(tx, { formulaId, frozen, madeAt, by, log: rememberedLog(frozen, madeAt, happened) });
    });
    announce({ what: 'batch', id: begun.id });
    return NextResponse.json(begun, { status: 201 });
  });
}
