const DAY = { weekday: 'short', day: 'numeric', month: 'short' } as const;

/** A day of the calendar in words: `Tue 24 Nov`. */
export const dayWords = (day: string) => new Date(`${day}T12:00`).toLocaleDateString('en-GB', DAY);

/** Where a use-by date stands on a day: past, that very day, or later. Days are written `2026-11-24`. */
export const dueStands = (useBy: string, today: string): 'past' | 'today' | 'later' =>
  useBy < today ? 'past' : useBy === today ? 'today' : 'later';

/** What a use-by date says on a day. What is past is never said to be good today. */
export function dueWords(useBy: string, today: string): string {
  const stands = dueStands(useBy, today);
  if (stands === 'today') return 'use today';
  return stands === 'past' ? `past its date, ${dayWords(useBy)}: do not serve` : `use by ${dayWords(useBy)}`;
}
