import { numeral } from './settings/numerals';

const NARROW = '\u202f';

/** A time as a cook says it: `20 s`, `2½ min`, `1 h 10 min`. */
export function duration(seconds: number): string {
  if (seconds < 90) return `${numeral(Math.max(5 * Math.round(seconds / 5), 0), 0)}${NARROW}s`;
  const halves = Math.round(seconds / 30);
  if (seconds < 600) return `${numeral(Math.floor(halves / 2), 0)}${halves % 2 === 1 ? '½' : ''}${NARROW}min`;
  const minutes = Math.round(seconds / 60);
  if (minutes < 100) return `${numeral(minutes, 0)}${NARROW}min`;
  const rest = minutes % 60;
  return `${numeral(Math.floor(minutes / 60), 0)}${NARROW}h${rest > 0 ? ` ${numeral(rest, 0)}${NARROW}min` : ''}`;
}
