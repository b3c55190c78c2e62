import { z } from 'zod';
import { keysOf } from '@/core/keys-of';
import { HEAT_WORDS, STEP_KINDS, STEP_PLACES, WAY_IDS } from '@/core/method/step';
import { GRAIN_RADII_M, PIECE_RADII_M } from '@/core/pan/lump';
import { TOOL_MIX } from '@/core/pan/pan';
import { ingredientId } from './ingredient-id';

/** Most steps a method may have. */
export const MOST_STEPS = 40;

const oneOf = <const Values extends readonly [string, ...string[]]>(values: Values) =>
  z.enum(values, { error: `must be one of ${values.join(', ')}` });

const between = (least: number, most: number, unit: string) =>
  z
    .number({ error: `must be a number of ${unit}` })
    .min(least, `must be at least ${least} ${unit}`)
    .max(most, `must be at most ${most} ${unit}`);

const share = between(0, 1, 'parts of the whole');

/** What a step may be told, in seconds, hours and degrees. */
export const STEP_REACH = {
  seconds: { min: 1, max: 21_600 },
  hours: { min: 0.1, max: 72 },
  temperatureC: { min: -10, max: 130 },
  lostGrams: { min: 1, max: 20_000 },
} as const;

const ofReach = ({ min, max }: { readonly min: number; readonly max: number }, unit: string) => between(min, max, unit);

const temperatureC = ofReach(STEP_REACH.temperatureC, 'degrees');

/** When a step is over. */
const endSchema = z.discriminatedUnion(
  'kind',
  [
    z.object({ kind: z.literal(['boil', 'melted', 'dissolved']) }),
    z.object({ kind: z.literal(['temperature', 'cooled']), temperatureC }),
    z.object({ kind: z.literal('seconds'), seconds: ofReach(STEP_REACH.seconds, 'seconds') }),
    z.object({ kind: z.literal('lost'), grams: ofReach(STEP_REACH.lostGrams, 'grams') }),
    z.object({ kind: z.literal('cooked'), share }),
    z.object({ kind: z.literal('bursts'), toC: temperatureC }),
    z.object({ kind: z.literal('stand'), hours: ofReach(STEP_REACH.hours, 'hours') }),
  ],
  { error: 'a step must say when it is over' },
);

const SIZES = [...keysOf(PIECE_RADII_M), ...keysOf(GRAIN_RADII_M)] as const;

/** A row of the formula, or a part of it: by its ingredient, and by which of them where one stands there more than once. */
const additionSchema = z.object({
  ingredient: ingredientId,
  which: z.number().int().min(2).max(60).optional(),
  share: between(0.0001, 1, 'parts of the row').default(1),
  size: z.enum(SIZES, { error: `must be one of ${SIZES.join(', ')}` }).optional(),
});

const stepSchema = z.object({
  kind: oneOf(STEP_KINDS),
  where: oneOf(STEP_PLACES),
  adds: z.array(additionSchema).max(60).default([]),
  heat: oneOf(HEAT_WORDS).optional(),
  stir: share.default(0),
  tool: z.enum(keysOf(TOOL_MIX), { error: `must be one of ${keysOf(TOOL_MIX).join(', ')}` }).optional(),
  cover: share.default(0),
  end: endSchema,
  /** s it takes at least, even when its end has come */
  leastSeconds: ofReach(STEP_REACH.seconds, 'seconds').optional(),
  note: z.string().trim().max(400, 'must be at most 400 letters').optional(),
});

/** How a formula is made: the way of working that was chosen for it, and its steps where a cook made them others than the way's own. */
export const methodSchema = z.object({
  way: oneOf(WAY_IDS),
  steps: z
    .array(stepSchema)
    .min(1, 'must hold a step')
    .max(MOST_STEPS, `must be at most ${MOST_STEPS} steps`)
    .optional(),
});

export type FileMethod = z.output<typeof methodSchema>;
export type FileStep = z.output<typeof stepSchema>;
