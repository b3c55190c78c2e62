import { daySchema } from '@/formats/day';
import { RequestError } from './read-request';

/**
 * The day a request is about.
 *
 * @throws {RequestError} it is none
 */
export function askedDay(day: string): string {
  const read = daySchema.safeParse(day);
  if (!read.success) throw new RequestError(400, 'A day is written 2026-11-28.');
  return read.data;
}
