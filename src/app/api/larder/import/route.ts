import { z } from 'zod';
import { ingredientSchema } from '@/formats/ingredient';
import { sharedDatabase } from '@/server/db/database';
import { forTheLog, troubleOf } from '@/server/db/trouble-of';
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
    const encoder = new TextEncoder();
    const lines = new ReadableStream<Uint8Array>({
      async start(controller) {
        const say = (line: unknown) => controller.enqueue(encoder.encode(`${JSON.stringify(line)}\n`));
        try {
          await importIngredients(db, plan, (done) => say({ done }));
          say({ finished: true });
        } catch (error) {
          const trouble = troubleOf(error);
          if (!trouble) process.stderr.write(`${forTheLog(error)}\n`);
          const changed =
            'The import stopped and nothing was changed: the larder changed meanwhile. Read the file again.';
          say({ message: trouble?.message ?? changed });
        }
        controller.close();
      },
    });
    return new Response(lines, { headers: { 'content-type': 'application/x-ndjson' } });
  });
}
