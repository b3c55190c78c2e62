import { z } from 'zod';
import { COMPONENT_NAMES, COMPOSITION_ROUNDING_G } from '@/core/matter/components';
import { allergenFields, recogniseFields } from './allergen-fields';
import { ingredientId } from './ingredient-id';

const part = z
  .number({ error: 'must be a number of grams in 100 g' })
  .min(0, 'must be 0 or more')
  .max(100 + COMPOSITION_ROUNDING_G, 'must be at most 100');

/** Grams per 100 g by component; what the parts leave unsaid is inert. */
export const compositionSchema = z
  .partialRecord(z.enum(COMPONENT_NAMES), part, {
    error: (issue) =>
      issue.code === 'invalid_key' ? 'is not a component the model knows' : 'must list components in g per 100 g',
  })
  .refine(
    (parts) => Object.values(parts).reduce((sum, grams) => sum + (grams ?? 0), 0) <= 100 + COMPOSITION_ROUNDING_G,
    {
      error: 'the parts add up to more than 100 g',
    },
  );

export const INGREDIENT_GROUPS = [
  'chocolate',
  'dairy',
  'plant',
  'sugars',
  'setting',
  'flavour',
  'spirits',
  'nuts',
] as const;

/** Longest names and notes, in characters. */
export const LONGEST_NAME = 120;
const LONGEST_NOTE = 1000;
export const LONGEST_MADE_OF = 600;

const text = (longest: number) => z.string().trim().max(longest, `must be at most ${longest} characters`);

/** What United States labels ask for and no component says, in 100 g; nothing while nobody has said. */
const labelExtras = {
  transFatG: z.number().min(0, 'must be 0 to 100').max(100, 'must be 0 to 100').nullable().default(null),
  cholesterolMg: z.number().min(0, 'must be 0 to 5000').max(5000, 'must be 0 to 5000').nullable().default(null),
};

/** An ingredient of the larder. What is written as allergens is recognised here, wherever it comes from. */
export const ingredientSchema = z
  .object({
    id: ingredientId,
    name: text(LONGEST_NAME).min(1, 'must not be empty'),
    group: z.enum(INGREDIENT_GROUPS, { error: `must be one of ${INGREDIENT_GROUPS.join(', ')}` }),
    components: compositionSchema,
    /** g per ml of the measure, by form */
    measures: z.record(z.string().min(1).max(30), z.number().positive('must be above 0').max(25, 'must be at most 25')),
    /** g a piece, by kind of piece */
    pieces: z.record(z.string().min(1).max(30), z.number().positive('must be above 0').max(10_000)),
    densityGPerMl: z.number().positive('must be above 0').max(25, 'must be at most 25').nullable(),
    cocoaPercent: z.number().min(0, 'must be 0 to 100').max(100, 'must be 0 to 100').nullable(),
    gelatinBloomG: z.number().min(50, 'must be 50 to 400').max(400, 'must be 50 to 400').nullable(),
    ph: z.number().min(0, 'must be 0 to 14').max(14, 'must be 0 to 14').nullable(),
    ...labelExtras,
    ...allergenFields,
    vegan: z.boolean(),
    pricePerKg: z.number().min(0, 'must be 0 or more').max(1e6).nullable(),
    /** g in hand; unknown when null */
    stockG: z.number().min(0, 'must be 0 or more').max(1e9).nullable(),
    keeps: text(300),
    caution: text(600),
    note: text(LONGEST_NOTE),
    /** what it is itself made of, in the words of its pack: what a label lists in brackets */
    madeOf: text(LONGEST_MADE_OF).default(''),
    source: text(400),
    /** typical ingredients came with the larder; own ones were added by the kitchen */
    origin: z.enum(['typical', 'own']),
  })
  .transform(recogniseFields);

export type Ingredient = z.infer<typeof ingredientSchema>;

/** An ingredient as kept: with the number of times it was changed. */
export type StoredIngredient = Ingredient & { readonly revision: number };
