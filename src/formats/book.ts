import { z } from 'zod';
import { batchHeadSchema, happeningSchema, newBatchSchema } from './batch';
import { momentMsSchema } from './kept-number';

/** A batch that is over, as its line in the book. */
export const bookRowSchema = batchHeadSchema.extend({
  overMs: z.number().nullable(),
  madeBy: z.string().nullable(),
  hasLanded: z.boolean().nullable(),
  isRescued: z.boolean(),
  weighedG: z.number().nullable(),
  yieldG: z.number().nullable(),
  cost: z.number().nullable(),
});
export type BookRow = z.output<typeof bookRowSchema>;

/** Which batches are asked for. */
export const LANDED = ['yes', 'no', 'unsaid'] as const;
export const BOOK_PAGE = 100;
const ms = z.coerce.number().pipe(momentMsSchema);

export const bookQuerySchema = z.object({
  search: z.string().trim().max(120).optional(),
  formula: z.string().max(80).optional(),
  /** begun from here on, and before there; ms since 1970 */
  from: ms.optional(),
  to: ms.optional(),
  landed: z.enum(LANDED).optional(),
  rescued: z.enum(['yes', 'no']).optional(),
  by: z.string().trim().max(60).optional(),
  skip: z.coerce.number().int().min(0).max(1_000_000).default(0),
});
export type BookQuery = z.output<typeof bookQuerySchema>;

/** Formulas whose looks can be asked for at a time. */
export const MOST_LOOKS = 40;
export const looksQuerySchema = z.array(z.string().min(1).max(80)).min(1).max(MOST_LOOKS);

/** What the server answers of the book. */
export const bookAnswerSchema = z.object({
  rows: z.array(bookRowSchema),
  total: z.number(),
});
export type BookAnswer = z.output<typeof bookAnswerSchema>;

/** Something that can be chosen to look through the book by. */
export interface BookChoices {
  readonly formulas: readonly { readonly id: string; readonly name: string }[];
  readonly names: readonly string[];
}

/** Happenings a batch of another day may be written down with. */
const PAST_KINDS = new Set(['temperature', 'ring', 'poured', 'note', 'verdict', 'used', 'leftover']);

/** A batch that was made without being followed, written down afterwards. */
export const pastBatchSchema = newBatchSchema.extend({
  /** when it was made, ms since 1970 */
  madeMs: momentMsSchema,
  by: z.string().trim().max(60).optional(),
  happened: z
    .array(happeningSchema.refine(({ kind }) => PAST_KINDS.has(kind), { error: 'cannot be written down afterwards' }))
    .max(20, 'are too many at once'),
});
