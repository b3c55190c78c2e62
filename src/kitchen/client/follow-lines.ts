import { z } from 'zod';
import { RefusedError, refusal } from './ask-server';

const lineSchema = z.union([
  z.object({ message: z.string() }),
  z.object({ finished: z.unknown() }).refine((line) => 'finished' in line),
  z.object({ done: z.number() }),
]);

/**
 * Reads an answer that comes line by line.
 *
 * @param onDone told how much is done, as the server counts it
 * @returns what it came to
 * @throws {RefusedError} refused, not done, or the line broke (status 0): then nobody knows
 */
export async function followLines(answer: Response, onDone: (done: number) => void): Promise<unknown> {
  if (!answer.ok || !answer.body) throw refusal(answer.status, await answer.json().catch(() => undefined));
  const reader = answer.body.pipeThrough(new TextDecoderStream()).getReader();
  let text = '';
  for (;;) {
    const { value, done } = await reader.read();
    if (done) break;
    text += value;
    const lines = text.split('\n');
    text = lines.pop() ?? '';
    for (const line of lines) {
      const said = lineSchema.parse(JSON.parse(line));
      if ('message' in said) throw new RefusedError(said.message, 422);
      if ('done' in said) onDone(said.done);
      else return said.finished;
    }
  }
  throw new RefusedError('The connection ended before this was finished. Check whether it was done.', 0);
}
