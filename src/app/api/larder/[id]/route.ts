import { NextResponse } from 'next/server';
import { z } from 'zod';
import { ingredientSchema } from '@/formats/ingredient';
import { sharedDatabase } from '@/server/db/database';
import { GONE, kept } from '@/server/larder-answers';
import { answering, RequestError, readJson } from '@/server/read-request';
import { removeIngredient, saveIngredient } from '@/server/repositories/larder';

type Context = { params: Promise<{ id: string }> };

const saveSchema = z.object({ revision: z.number().int().min(1), ingredient: ingredientSchema });

/** Changes an ingredient over the revision it was opened at. */
export async function PUT(request: Request, { params }: Context) {
  return answering(async () => {
    const { revision, ingredient } = await readJson(request, saveSchema);
    const { db } = await sharedDatabase();
    return kept(await saveIngredient(db, (await params).id, revision, ingredient));
  });
}

/** Takes an ingredient of the kitchen's own out, unless a formula uses it. */
export async function DELETE(_request: Request, { params }: Context) {
  return answering(async () => {
    const { db } = await sharedDatabase();
    const outcome = await removeIngredient(db, (await params).id);
    if (outcome === 'gone') throw new RequestError(404, GONE);
    if (outcome === 'typical') throw new RequestError(409, 'Typical ingredients stay in the larder.');
    if (outcome !== 'removed') {
      throw new RequestError(
        409,
        `It is used in ${outcome.map(({ name }) => `“${name}”`).join(', ')}: swap it there first.`,
      );
    }
    return NextResponse.json({ removed: true });
  });
}
