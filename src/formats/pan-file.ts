import { z } from 'zod';
import { keysOf } from '@/core/keys-of';
import { TOOL_MIX } from '@/core/pan/pan';
import { USUAL_KITCHEN } from '@/core/pan/vessel';
import { MOST_GRAMS, ownIngredientSchema } from './formula-file';
import { ingredientId } from './ingredient-id';
import { name } from './moments-and-gates';

const number = (what: string, least: number, most: number) =>
  z
    .number({ error: `must be a number of ${what}` })
    .min(least, `must be ${least} to ${most} ${what}`)
    .max(most, `must be ${least} to ${most} ${what}`);
const share = z.number({ error: 'must be a number from 0 to 1' }).min(0, 'must be 0 to 1').max(1, 'must be 0 to 1');
const celsius = number('°C', -30, 150);
const limitSeconds = number('seconds', 1, 86_400).optional();

const vesselSchema = z.object({
  diameterM: number('m', 0.03, 1),
  kitchenC: number('°C', -10, 50).default(USUAL_KITCHEN.kitchenC),
  humidity: share.default(USUAL_KITCHEN.humidity),
  altitudeM: number('m', -400, 6000).default(USUAL_KITCHEN.altitudeM),
});

/** Something goes in. */
const addSchema = z.strictObject({
  add: ingredientId,
  grams: z
    .number({ error: 'must be a number of grams' })
    .positive('must be above 0 g')
    .max(MOST_GRAMS, 'must be at most 100 000 g'),
  /** the kitchen's where it is left out */
  temperatureC: celsius.optional(),
  as: z.enum(['liquid', 'pieces', 'grains'], { error: 'must be liquid, pieces or grains' }).default('liquid'),
  /** of pieces and grains; usual ones where it is left out */
  radiusMm: number('mm', 0.001, 100).optional(),
});

const hobSchema = z.strictObject({
  powerW: number('W', 0, 30_000),
  efficiency: share.default(0.65),
  level: share.default(1),
});
const microwaveSchema = z.strictObject({ microwaveW: number('W', 0, 3000) });

const isTrue = z.literal(true, { error: 'must be true' });
const untilSchema = z
  .strictObject(
    {
      boil: isTrue.optional(),
      melted: isTrue.optional(),
      dissolved: isTrue.optional(),
      temperatureC: celsius.optional(),
      seconds: number('seconds', 0, 86_400).optional(),
      lostG: number('g', 0, MOST_GRAMS).optional(),
      cooked: share.optional(),
    },
    { error: (issue) => (issue.input === undefined ? 'must say when this ends' : undefined) },
  )
  .refine((until) => Object.values(until).filter((each) => each !== undefined).length === 1, {
    error: 'must name one end: boil, melted, dissolved, temperatureC, seconds, lostG or cooked',
  });

/** Time passes, with heat or without, until it is over. */
const timeSchema = z.strictObject({
  heat: z
    .union([hobSchema, microwaveSchema], { error: 'must be a hob (powerW) or a microwave (microwaveW)' })
    .optional(),
  stir: share.default(0),
  tool: z.enum(keysOf(TOOL_MIX), { error: `must be one of ${keysOf(TOOL_MIX).join(', ')}` }).optional(),
  cover: share.default(0),
  until: untilSchema,
  limitSeconds,
});

/** It is poured into something and stands. */
const standSchema = z.strictObject({
  stand: z.strictObject({
    shape: z.enum(['slab', 'cylinder', 'sphere'], { error: 'must be slab, cylinder or sphere' }),
    lengthM: number('m', 0.0005, 1),
    parts: z
      .array(
        z.strictObject({
          hours: number('hours', 0, 2000),
          h: number('W/m²K', 0, 2000),
          aroundC: number('°C', -50, 90),
        }),
        { error: 'must be a list of places' },
      )
      .min(1, 'must name at least one place')
      .max(100, 'must be at most 100 places'),
  }),
});

const MOST_EVENTS = 200;
const EVENTS = { add: addSchema, stand: standSchema, until: timeSchema } as const;

/** An event is told by what it has: `add`, `stand`, or else time passes. */
const eventSchema = z.union([addSchema, standSchema, timeSchema]);

/** Format `dark-pour/pan`, version 1: a pan and what happens to it. */
export const panFileSchema = z.object({
  format: z.literal('dark-pour/pan', { error: 'must be "dark-pour/pan"' }),
  version: z.literal(1, { error: 'only version 1 can be read here' }),
  name: name(120),
  pan: vesselSchema,
  ingredients: z.record(ingredientId, ownIngredientSchema).default({}),
  events: z
    .array(eventSchema, { error: 'must be a list of events' })
    .max(MOST_EVENTS, `must be at most ${MOST_EVENTS} events`),
});

export type PanFile = z.output<typeof panFileSchema>;
export type PanEvent = PanFile['events'][number];

/** What an event means to be, so that its faults are told by its own rules. */
function eventKind(event: unknown): keyof typeof EVENTS {
  if (event !== null && typeof event === 'object') {
    if ('add' in event) return 'add';
    if ('stand' in event) return 'stand';
  }
  return 'until';
}

export const eventSchemaOf = (event: unknown) => EVENTS[eventKind(event)];
