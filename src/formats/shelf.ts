import { z } from 'zod';
import { SPOILERS, type Spoiler } from '@/core/keep/keeping';
import { daySchema } from './day';
import { MOST_GRAMS } from './formula-file';

/** What it is put away in, and where it stands. */
export const CONTAINERS = ['jar', 'tub', 'tray', 'bowl', 'bag'] as const;
export const SHELF_PLACES = ['fridge', 'freezer', 'coolRoom', 'kitchen'] as const;
export type Container = (typeof CONTAINERS)[number];
export type ShelfPlace = (typeof SHELF_PLACES)[number];

const grams = z
  .number({ error: 'must be grams' })
  .min(0.1, 'must be above 0 g')
  .max(MOST_GRAMS, `must be at most ${MOST_GRAMS} g`);

const DAIRY: Spoiler[] = ['dairy'];

/** What keeping is judged by: never a date, a time in words. */
export const keepingSchema = z
  .object({
    /** of the batch as it is kept */
    waterActivity: z.number().min(0).max(1),
    waterActivitySd: z.number().min(0).max(1).default(0.015),
    alcoholPercentVol: z.number().min(0).max(100),
    /** what spoils sooner than its water says */
    spoilers: z.array(z.enum(SPOILERS)).optional(),
    /** as it was written before spoilers were told apart */
    hasDairy: z.boolean().optional(),
    /** h the batch was between 5 and 60 °C, by its own clock; nothing where nobody read a temperature */
    growsH: z.number().min(0).max(10_000).nullable(),
  })
  .transform(({ hasDairy, spoilers, ...more }) => ({ ...more, spoilers: spoilers ?? (hasDairy ? DAIRY : []) }));
export type Keeping = z.output<typeof keepingSchema>;

const fields = {
  name: z.string().trim().min(1, 'must not be empty').max(120),
  batchId: z.string().max(80).nullable().default(null),
  container: z.enum(CONTAINERS),
  count: z.number().int('must be whole').min(1, 'must be at least 1').max(1000, 'must be at most 1000'),
  grams,
  place: z.enum(SHELF_PLACES),
  madeOn: daySchema,
  /** the cook's own; the app sets none */
  useBy: daySchema.nullable().default(null),
};

/** Something that is put away. */
export const putAwaySchema = z
  .object({ ...fields, keeping: keepingSchema.nullable().default(null) })
  .refine(({ useBy, madeOn }) => useBy === null || useBy >= madeOn, {
    path: ['useBy'],
    error: 'is before it was made',
  });
export type PutAway = z.output<typeof putAwaySchema>;

/** Something that stands on the shelf. */
export const shelfItemSchema = z.object({
  ...fields,
  id: z.string(),
  batchNumber: z.number().nullable(),
  leftG: z.number(),
  thrownG: z.number(),
  keeping: keepingSchema.nullable(),
});
export type ShelfItem = z.output<typeof shelfItemSchema>;

/** Some of it is used, or thrown away. */
export const takeSchema = z.object({ fate: z.enum(['used', 'thrown']), grams });
export type Take = z.output<typeof takeSchema>;

export const shelfAnswerSchema = z.object({ items: z.array(shelfItemSchema) });
