import { NextResponse } from 'next/server';
import { RequestError } from './read-request';
import type { LarderOutcome } from './repositories/larder';

export const GONE = 'This ingredient is not in the larder any more.';

/** A change of the larder as an answer. */
export function kept(result: LarderOutcome, status = 200): NextResponse {
  switch (result.outcome) {
    case 'kept':
      return NextResponse.json({ ingredient: result.ingredient }, { status });
    case 'nameTaken':
      throw new RequestError(422, 'The larder has an ingredient of this name already.', [
        { path: 'ingredient.name', message: 'The larder has this name already.' },
      ]);
    case 'stale':
      return NextResponse.json(
        {
          message: 'Somebody else changed this ingredient meanwhile. Nothing was overwritten; open it again to see.',
          current: result.current,
        },
        { status: 409 },
      );
    case 'gone':
      throw new RequestError(404, GONE);
  }
}
