import { NextResponse } from 'next/server';
import { takeSchema } from '@/formats/shelf';
import { announce } from '@/server/changes/changes';
import { keyedWrite } from '@/server/keyed-write';
import { answering, RequestError, readJson } from '@/server/read-request';
import { takeFrom } from '@/server/repositories/shelf';

/** Takes some of it: used, or thrown away. */
export async function POST(request: Request, { params }: { params: Promise<{ id: string }> }) {
  return answering(async () => {
    const take = await readJson(request, takeSchema);
    const { id } = await params;
    const taken = await keyedWrite(request, take, (tx) => takeFrom(tx, id, take));
    if (taken.outcome === 'gone') throw new RequestError(404, 'That is not on the shelf.');
    if (taken.outcome === 'tooMuch') {
      throw new RequestError(409, `Only ${Math.round(taken.leftG)} g of it is left.`);
    }
    announce({ what: 'shelf', id });
    return NextResponse.json({ leftG: taken.leftG });
  });
}
