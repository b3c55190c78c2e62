import { z } from 'zod';

/** Something that ends at a time: a cook's timer, a burst, a step that takes so long. */
export const timerSchema = z.object({
  /** tells it from all others, and from the same begun anew */
  key: z.string(),
  batchId: z.string(),
  /** of what is cooked */
  name: z.string(),
  /** what ends */
  label: z.string(),
  /** ms on the server's clock */
  dueMs: z.number(),
  /** of a cook's own timer, so that it can be stopped for everyone */
  ownId: z.string().nullable(),
});
export type KitchenTimer = z.output<typeof timerSchema>;

export const timersSchema = z.object({ timers: z.array(timerSchema), nowMs: z.number() });
