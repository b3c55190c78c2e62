import type { z } from 'zod';
import {
  type BatchHead,
  begunSchema,
  type logAnswerSchema,
  type newBatchSchema,
  runningSchema,
  type Told,
} from '@/formats/batch';
import { askOnce, askServer } from './ask-server';

/** Begins a batch of a formula. */
export async function beginBatch(asked: z.input<typeof newBatchSchema>): Promise<string> {
  return begunSchema.parse(await askOnce('/api/batches', 'POST', asked)).id;
}

/** The batches that are not over, the last begun first. */
export async function listRunning(): Promise<BatchHead[]> {
  return runningSchema.parse(await askServer('/api/batches', 'GET')).batches;
}

/** Tells what happened and hears what is not known yet; with no events it only asks. */
export async function tellBatch(
  id: string,
  after: number,
  events: readonly Told[],
): Promise<z.output<typeof logAnswerSchema>> {
  const { logAnswerSchema: schema } = await import('@/formats/batch');
  const path = `/api/batches/${id}/events`;
  return schema.parse(
    await (events.length === 0
      ? askServer(`${path}?after=${after}`, 'GET')
      : askServer(path, 'POST', { after, events, sentMs: Date.now() })),
  );
}
