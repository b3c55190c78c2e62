import type { z } from 'zod';
import { begunSchema } from '@/formats/batch';
import { type BookAnswer, type BookQuery, bookAnswerSchema, type pastBatchSchema } from '@/formats/book';
import { askOnce, askServer } from './ask-server';

/** A question of the book as an address writes it; what is not asked stands nowhere. */
export function bookParams(query: Partial<BookQuery>): URLSearchParams {
  const asked = Object.entries(query).filter(([, value]) => value !== undefined && value !== '');
  return new URLSearchParams(asked.map(([name, value]) => [name, String(value)]));
}

/** A page of the book. */
export async function fetchBook(query: Partial<BookQuery>): Promise<BookAnswer> {
  return bookAnswerSchema.parse(await askServer(`/api/book?${bookParams(query)}`, 'GET'));
}

/** Writes a batch of another day down. */
export async function writePast(asked: z.input<typeof pastBatchSchema>): Promise<string> {
  return begunSchema.parse(await askOnce('/api/book/past', 'POST', asked)).id;
}
