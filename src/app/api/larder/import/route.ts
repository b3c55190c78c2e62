import { z } from 'zod';
import { ingredientSchema } from '@/formats/ingredient';
import { sharedDatabase } from '@/server/db/database';
import { lineAnswer } from '@/server/line-answer';
import { answering, readJson } from '@/server/read-request';
import { importIngredients } from '@/server/repositories/larder';

const LARGEST_IMPORT_BYTES = 40_000_000;

const planSchema = z.object({
  add: z.array(ingredientSchema).max(20_000),
  change: z.array(ingredientSchema).max(20_000),
});

/**
 * Adds and changes many ingredients, all or nothing. Answers with one JSON line after every few hundred (`{ done }`) and a last one:
 * `{ finished: true }`, or `{ message }` when nothing was changed.
 */
export async function POST(request: Request) {
  return answering(async () => {
    const plan = await readJson(request, planSchema, { mostBytes: LARGEST_IMPORT_BYTES });
    const { db } = await sharedDatabase();
    return lineAnswer(async (say) => {
      await importIngredients(db, plan, (done) => say({ done }));
      return true;
    }, 'The import stopped and nothing was changed: the larder changed meanwhile. Read the file again.');
  });
}
