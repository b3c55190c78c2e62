import { formatISO } from 'date-fns/formatISO';
import { z } from 'zod';

/** The day of a moment on this machine's clock: `2026-11-28`. */
export const dayOf = (moment: Date | number) => formatISO(moment, { representation: 'date' });

const FORM = /^\d{4}-\d{2}-\d{2}$/;

/** A day as `2026-11-28`, one that a calendar has. */
export const daySchema = z
  .string()
  .regex(FORM, 'must be a day: 2026-11-28')
  .refine(
    (day) => !Number.isNaN(Date.parse(`${day}T00:00Z`)) && new Date(`${day}T00:00Z`).toISOString().startsWith(day),
    {
      error: 'is no day of the calendar',
    },
  );

const minutes = z
  .number({ error: 'must be minutes of the day' })
  .int('must be whole minutes')
  .min(-1440, 'must not be before the day before')
  .max(2880, 'must not be after the day after');

/** Most pieces of work on one day. */
export const MOST_TASKS = 24;

/** A piece of work on a day. */
export const dayTaskSchema = z.object({
  id: z.string(),
  formulaId: z.string(),
  /** min of the day it is to be ready at; below 0 on the day before */
  readyMinutes: minutes,
  /** min of the day it was promised for, where it is ready earlier */
  servedMinutes: minutes.nullable(),
});
export type StoredTask = z.output<typeof dayTaskSchema>;

/** What is put on a day. */
export const newTaskSchema = z.object({ formulaId: z.string().max(80), readyMinutes: minutes });

/** Other times for some of what is on a day. */
export const movedTasksSchema = z.object({
  tasks: z
    .array(
      z.object({
        id: z.string().max(80),
        readyMinutes: minutes,
        /** left out: it is served when it is ready */
        servedMinutes: minutes.nullable().default(null),
      }),
    )
    .max(MOST_TASKS),
});
