import { dayOf } from '@/formats/day';

/** The Saturday of Lantern Mill: what is to be ready when, min of the day. */
export const SATURDAY = [
  { name: 'Shop jar, molasses', readyMinutes: 13 * 60 + 15 },
  { name: 'Millrace éclair gloss', readyMinutes: 13 * 60 + 30 },
  { name: 'Lantern mirror, dark', readyMinutes: 13 * 60 + 40 },
  { name: 'Plated sponge, thick dip', readyMinutes: 13 * 60 + 45 },
] as const;

const SATURDAY_OF_WEEK = 6;

/** The first Saturday from a day on, as `2026-11-28`. */
export function saturdayFrom(now: Date): string {
  const ahead = (SATURDAY_OF_WEEK - now.getDay() + 7) % 7;
  const day = new Date(now.getFullYear(), now.getMonth(), now.getDate() + ahead, 12);
  return dayOf(day);
}
