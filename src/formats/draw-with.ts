import { z } from 'zod';

/** What is answered of a second sauce that is to be drawn with. */
export const drawWithAnswerSchema = z.object({
  name: z.string(),
  colour: z.string(),
  densityKgM3: z.number(),
  asItIs: z.object({
    holds: z.boolean(),
    viscosityTimes: z.number(),
    isYieldLow: z.boolean(),
    densityShare: z.number(),
  }),
  /** g of its rows before and after it is balanced to the first; nothing where it holds, or cannot be brought there */
  rows: z.array(z.object({ name: z.string(), from: z.number(), to: z.number() })).nullable(),
});
export type DrawWithAnswer = z.output<typeof drawWithAnswerSchema>;
