import { NextResponse } from 'next/server';
import { z } from 'zod';
import { ingredientSchema } from '@/formats/ingredient';
import { revisionSchema } from '@/formats/kept-number';
import { keyedWrite } from '@/server/keyed-write';
import { GONE, kept } from '@/server/larder-answers';
import { answering, RequestError, readJson } from '@/server/read-request';
import { removeIngredient, saveIngredient } from '@/server/repositories/larder';

type Context = { params: Promise<{ id: string }> };

const saveSchema = z.object({ revision: revisionSchema, ingredient: ingredientSchema });

/** Changes an ingredient over the revision it was opened at. */
export async function PUT(request: Request, { params }: Context) {
  return answering(async () => {
    const asked = await readJson(request, saveSchema);
    const { id } = await params;
    return kept(await keyedWrite(request, asked, (tx) => saveIngredient(tx, id, asked.revision, asked.ingredient)));
  });
}

/** Takes an ingredient of the kitchen's own out, unless a formula uses it. */
export async function DELETE(request: Request, { params }: Context) {
  return answering(async () => {
    const { id } = await params;
    const outcome = await keyedWrite(request, null, (tx) => removeIngredient(tx, id));
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
