import { z } from 'zod';
import { LABEL_SCHOOLS } from '@/core/matter/nutrition';
import { daySchema } from './day';
import { SHELF_PLACES } from './shelf';

/** Sizes of label, mm, each with how many stand on a sheet of A4 and how large its letters are. */
export const LABEL_SIZES = {
  jar: { widthMm: 70, heightMm: 37, across: 3, down: 8, letterMm: 2.2, titleMm: 3 },
  tub: { widthMm: 99, heightMm: 67.7, across: 2, down: 4, letterMm: 2.5, titleMm: 4.2 },
  shelf: { widthMm: 105, heightMm: 42.4, across: 2, down: 7, letterMm: 2.4, titleMm: 5 },
} as const;
export type LabelSize = keyof typeof LABEL_SIZES;

const empty = (value: unknown) => (value === '' || value === null ? undefined : value);
const optionalNumber = (least: number, most: number) =>
  z.preprocess(empty, z.coerce.number({ error: 'must be grams' }).min(least).max(most).optional());

/** The smallest letters a label may have: their x-height is 1.2 mm (Regulation (EU) 1169/2011, article 13), 0.547 of the letters used here. */
export const LEAST_LETTER_MM = 2.2;

/** What is asked of a label, as it stands in its address. */
export const labelQuerySchema = z.object({
  /** `best` is the smallest on which all of it stands */
  size: z.enum(['best', 'jar', 'tub', 'shelf']).default('best'),
  school: z.enum(LABEL_SCHOOLS).default('eu'),
  place: z.enum(SHELF_PLACES).default('fridge'),
  /** the cook's own; the app sets none */
  useBy: z.preprocess(empty, daySchema.optional()),
  /** g in one of them */
  netG: optionalNumber(1, 100_000),
  portionG: z.preprocess(empty, z.coerce.number({ error: 'must be grams' }).min(1).max(5000).default(30)),
  /** of a portion; they win over what the larder comes to */
  transG: optionalNumber(0, 100),
  cholesterolMg: optionalNumber(0, 10_000),
  addedSugarsG: optionalNumber(0, 1000),
  count: z.preprocess(empty, z.coerce.number({ error: 'must be a number' }).int().min(1).max(240).default(1)),
  nutrition: z.enum(['yes', 'no']).default('yes'),
  code: z.enum(['yes', 'no']).default('yes'),
});
export type LabelQuery = z.output<typeof labelQuerySchema>;
