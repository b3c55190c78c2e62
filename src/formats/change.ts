import { z } from 'zod';

/** Something that is kept has changed: told to every tablet that is looked at. */
export const changeSchema = z.object({
  what: z.enum(['formula', 'day', 'batch', 'shelf']),
  /** of the formula, the day or the batch; nothing where it may be any */
  id: z.string().max(80).optional(),
});

export type Change = z.output<typeof changeSchema>;
