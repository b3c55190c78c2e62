import { z } from 'zod';

/** What became of a kitchen's warm tests when the model moved its figures: what they said on the average before and after, ln. */
export const figureNewsSchema = z.object({
  revision: z.number(),
  tests: z.number(),
  was: z.number(),
  is: z.number(),
});
export type FigureNews = z.output<typeof figureNewsSchema>;
