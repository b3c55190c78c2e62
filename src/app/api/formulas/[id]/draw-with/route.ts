import { NextResponse } from 'next/server';
import { z } from 'zod';
import { calibrationOf } from '@/core/learn/kitchen';
import { predictFormula } from '@/core/predict/predict-formula';
import { chocolateColour } from '@/core/shine/colour';
import { drawWithAnswerSchema } from '@/formats/draw-with';
import { larderOf } from '@/kitchen/known-item';
import { keyed, knownPan } from '@/kitchen/known-pan';
import { drawWith } from '@/kitchen/serve/draw-with';
import { sharedDatabase } from '@/server/db/database';
import { answering, RequestError } from '@/server/read-request';
import { findFormula } from '@/server/repositories/formulas';
import { kitchenPours } from '@/server/repositories/kitchen-tests';
import { someIngredients } from '@/server/repositories/larder';

const querySchema = z.object({
  with: z.string().max(80),
  at: z.coerce.number().min(0).max(70).default(35),
  book: z.enum(['yes', 'no']).default('no'),
});

/** Whether a second sauce can be drawn with into this one, and the second balanced so that it can: `?with=ID&at=35`. */
export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }) {
  return answering(async () => {
    const asked = querySchema.safeParse(Object.fromEntries(new URL(request.url).searchParams));
    if (!asked.success) throw new RequestError(422, 'Name a second formula, and a temperature between 0 and 70 °C.');
    const { db } = await sharedDatabase();
    const [first, second] = [await findFormula(db, (await params).id), await findFormula(db, asked.data.with)];
    if (!first || !second) throw new RequestError(404, 'This formula was deleted, or never was here.');
    const ids = [first, second].flatMap(({ file }) => file.lines.map(({ ingredient }) => ingredient));
    const knowledge = asked.data.book === 'yes' ? undefined : await kitchenPours(db);
    const larder = larderOf(await someIngredients(db, ids));
    const [one, two] = [first, second].map(
      ({ id, file }) => knownPan(keyed(file), larder, calibrationOf(knowledge, id)).formula,
    );
    const answer = one && two && drawWith(one, two, asked.data.at);
    const prediction = two && predictFormula(two);
    if (!answer || !prediction) throw new RequestError(422, 'One of the two pans is empty.');
    const names = second.file.lines.map(({ ingredient }) => larder.get(ingredient)?.name ?? ingredient);
    return NextResponse.json(
      drawWithAnswerSchema.parse({
        name: second.file.name,
        colour: chocolateColour(prediction.batch.mixture),
        densityKgM3: prediction.densityKgM3,
        asItIs: answer.asItIs,
        rows: answer.balanced
          ? second.file.lines.map(({ grams }, i) => ({
              name: names[i],
              from: grams,
              to: answer.balanced?.grams[i] ?? grams,
            }))
          : null,
      }),
    );
  });
}
