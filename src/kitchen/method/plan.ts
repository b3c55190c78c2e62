import { readLocalTime, timeOn } from './calendar';

/** When one formula is to be begun: a day, and min of it. */
export interface Plan {
  /** `2026-11-28` */
  readonly day: string;
  /** min of the day, 0 to 1439 */
  readonly start: number;
}

const two = (value: number) => String(value).padStart(2, '0');

/** A plan from minutes that may lie on the day before or after. */
export function planOn(day: string, minutes: number): Plan | undefined {
  const time = timeOn(day, Math.round(minutes));
  return time && { day: `${time.year}-${two(time.month)}-${two(time.day)}`, start: 60 * time.hour + time.minute };
}

/** A plan as a text: `2026-11-28T14:08`. */
export const planText = ({ day, start }: Plan): string => `${day}T${two(Math.floor(start / 60))}:${two(start % 60)}`;

/** The plan of a text; nothing of what is none. */
export function readPlan(text: string): Plan | undefined {
  const time = readLocalTime(text);
  return time && { day: text.slice(0, 10), start: 60 * time.hour + time.minute };
}

/** The plan that ends at a moment: `2026-11-28T17:30` after so many minutes of work. */
export function planReadyAt(readyAt: string, lasts: number): Plan | undefined {
  const ready = readPlan(readyAt);
  return ready && planOn(ready.day, ready.start - Math.round(lasts));
}

/** ms of the moment a plan begins, on this machine's clock. */
export const planMs = (plan: Plan): number => new Date(planText(plan)).getTime();
