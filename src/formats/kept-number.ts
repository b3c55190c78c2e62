import { z } from 'zod';

/** Largest whole number the database keeps as such. */
export const MAX_INTEGER = 2 ** 31 - 1;

/** How often something was saved. */
export const revisionSchema = z.number().int().min(1).max(MAX_INTEGER);

/** A moment, ms since 1970, up to the year 9999. */
export const momentMsSchema = z
  .number()
  .int()
  .min(0)
  .max(Date.UTC(9999, 11, 31));
