import { forTheLog, troubleOf } from './db/trouble-of';
import { RequestError } from './read-request';

/** What work tells while it is done: an object a line. */
type Say = (line: object) => void;

/**
 * An answer that comes line by line (JSON, each with a line end) while work is done. The last one is `{ finished: … }` with what it came to, or `{ message }`
 * with why it was not done.
 *
 * @param failed what is said where nobody knows why
 */
export function lineAnswer(work: (say: Say) => Promise<unknown>, failed: string): Response {
  const encoder = new TextEncoder();
  const lines = new ReadableStream<Uint8Array>({
    async start(controller) {
      const say: Say = (line) => controller.enqueue(encoder.encode(`${JSON.stringify(line)}\n`));
      try {
        say({ finished: await work(say) });
      } catch (error) {
        const known = error instanceof RequestError ? error : troubleOf(error);
        if (!known) process.stderr.write(`${forTheLog(error)}\n`);
        // Nobody may be there any more to hear it.
        try {
          say({ message: known?.message ?? failed });
        } catch {
          return;
        }
      }
      controller.close();
    },
  });
  return new Response(lines, { headers: { 'content-type': 'application/x-ndjson' } });
}
