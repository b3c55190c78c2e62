import { z } from 'zod';
import { COMPONENT_NAMES, COMPOSITION_ROUNDING_G } from '@/core/matter/components';

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

/** An ingredient of the larder. */
export const ingredientSchema = z.object({
  id: z.string().min(1).max(80),
  name: z.string().trim().min(1).max(120),
  group: z.enum(INGREDIENT_GROUPS),
  components: compositionSchema,
  /** g per ml of the measure, by form */
  measures: z.record(z.string(), z.number().positive()),
  /** g a piece, by kind of piece */
  pieces: z.record(z.string(), z.number().positive()),
  densityGPerMl: z.number().positive().nullable(),
  cocoaPercent: z.number().min(0).max(100).nullable(),
  allergens: z.array(z.string()),
  vegan: z.boolean(),
  priceEurPerKg: z.number().min(0).nullable(),
  keeps: z.string(),
  caution: z.string(),
  source: z.string(),
});

export type Ingredient = z.infer<typeof ingredientSchema>;
