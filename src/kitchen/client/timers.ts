import type { z } from 'zod';
import type { timersSchema } from '@/formats/timers';
import { askServer } from './ask-server';

/** Everything in the kitchen that ends at a time. */
export async function listTimers(): Promise<z.output<typeof timersSchema>> {
  const { timersSchema: schema } = await import('@/formats/timers');
  return schema.parse(await askServer('/api/timers', 'GET'));
}
