import { type DrawWithAnswer, drawWithAnswerSchema } from '@/formats/draw-with';
import { askServer } from './ask-server';

/** Asks whether a second sauce can be drawn with into a first, and how it is balanced so that it can. */
export async function askDrawWith(first: string, second: string, at: number, byBook: boolean): Promise<DrawWithAnswer> {
  const query = new URLSearchParams({ with: second, at: String(at), book: byBook ? 'yes' : 'no' });
  return drawWithAnswerSchema.parse(
    await askServer(`/api/formulas/${encodeURIComponent(first)}/draw-with?${query}`, 'GET'),
  );
}
