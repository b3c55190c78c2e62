import { NextResponse } from 'next/server';
import Papa from 'papaparse';
import { learnerSchema, practiceTrySchema } from '@/formats/practice';
import { sharedDatabase } from '@/server/db/database';
import { answering, RequestError, readJson } from '@/server/read-request';
import { forgetLearner, keepTry, readPractice } from '@/server/repositories/practice';

/** Whose exercises are asked for; nothing where nobody is named. */
function learnerOf(request: Request): string | undefined {
  const asked = new URL(request.url).searchParams.get('learner');
  if (asked === null) return undefined;
  const read = learnerSchema.safeParse(asked);
  if (!read.success) throw new RequestError(422, 'Name a learner, in at most 60 letters.');
  return read.data;
}

/** Who practises here and what one of them has done: `?learner=NAME`, as a table with `&as=csv`. */
export async function GET(request: Request) {
  return answering(async () => {
    const { db } = await sharedDatabase();
    const answer = await readPractice(db, learnerOf(request));
    if (new URL(request.url).searchParams.get('as') !== 'csv') return NextResponse.json(answer);
    const rows = answer.tries.map(({ at, kind, formula, isRight, called, miss, panC }) => ({
      at: new Date(at).toISOString(),
      exercise: kind,
      formula,
      right: isRight ? 'yes' : 'no',
      called: called ?? '',
      said_less_true: miss === null ? '' : Math.round(1000 * miss) / 1000,
      pan_c: panC ?? '',
    }));
    return new Response(`\uFEFF${Papa.unparse(rows, { escapeFormulae: true, newline: '\r\n' })}\r\n`, {
      headers: {
        'content-type': 'text/csv; charset=utf-8',
        'content-disposition': 'attachment; filename="practice.csv"',
      },
    });
  });
}

/** Keeps an exercise that was done. */
export async function POST(request: Request) {
  return answering(async () => {
    const done = await readJson(request, practiceTrySchema);
    const { db } = await sharedDatabase();
    await keepTry(db, done, new Date());
    return NextResponse.json({ kept: true }, { status: 201 });
  });
}

/** Deletes all that a learner has done. */
export async function DELETE(request: Request) {
  return answering(async () => {
    const learner = learnerOf(request);
    if (learner === undefined) throw new RequestError(422, 'Name a learner, in at most 60 letters.');
    const { db } = await sharedDatabase();
    await forgetLearner(db, learner);
    return NextResponse.json({ deleted: true });
  });
}
