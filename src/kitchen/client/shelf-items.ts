import type { z } from 'zod';
import { type putAwaySchema, type ShelfItem, shelfAnswerSchema, type Take } from '@/formats/shelf';
import { askOnce, askServer } from './ask-server';

/** What stands on the shelf, what has to be used first before the rest. */
export async function fetchShelf(): Promise<readonly ShelfItem[]> {
  return shelfAnswerSchema.parse(await askServer('/api/shelf', 'GET')).items;
}

/** Puts something away. */
export async function putAway(item: z.input<typeof putAwaySchema>): Promise<void> {
  await askOnce('/api/shelf', 'POST', item);
}

/** Takes some of it: used, or thrown away. */
export async function takeFromShelf(id: string, take: Take): Promise<void> {
  await askOnce(`/api/shelf/${encodeURIComponent(id)}`, 'POST', take);
}
