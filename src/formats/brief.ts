import { z } from 'zod';
import { type Brief, HEATS, SHINES, TASTES, THICKENERS } from '@/core/brief/brief';
import { SLOPES } from '@/core/brief/job';
import { MOST_MOMENTS } from '@/core/formula/moments';
import { HOB_EFFICIENCY } from '@/core/pan/heat-source';
import { RESTRICTIONS } from '@/core/swap/restrictions';
import { JOB_USES } from '@/core/uses/catalogue';
import { PIECE_KEYS } from '@/core/uses/pieces';
import { PLACES } from '@/core/uses/places';
import { PORTION_KINDS, type PortionKey, portionKind } from '@/core/yields/portions';
import { daySchema } from './day';
import { formerly } from './former-names';
import { gateSchema, momentSchema } from './moments-and-gates';

/** Most jobs one batch can have, and the reach of what a brief asks. */
export const MOST_JOBS = 6;
export const BRIEF_REACH = {
  count: [1, 10_000],
  guests: [1, 5000],
  each: [0.005, 50],
  workC: [0, 95],
  eatC: [0, 90],
  hours: [0.1, 2000],
  kitchenC: [5, 45],
  keepDays: [1, 400],
  portionCost: [0.01, 1000],
  cocoaPercent: [1, 90],
  minutes: [0, 240],
  powerW: [100, 20_000],
  panCm: [8, 100],
  percent: [0, 50],
} as const satisfies Record<string, readonly [number, number]>;

const within = ([least, most]: readonly [number, number]) =>
  z.number({ error: 'must be a number' }).min(least, `must be ${least} or more`).max(most, `must be at most ${most}`);

/** A day and a time of this kitchen's clock: `2026-12-05T17:30`. */
const wantedAtSchema = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}T([01]\d|2[0-3]):[0-5]\d$/, 'must be a day and a time: 2026-12-05T17:30')
  .refine((text) => daySchema.safeParse(text.slice(0, 10)).success, { error: 'is no day of the calendar' });

/** What was set by hand on the bench, over what the brief gives or beside it. */
const setByHandSchema = z.object({
  moments: z
    .array(z.object({ moment: momentSchema, over: momentSchema.optional() }))
    .max(MOST_MOMENTS)
    .readonly(),
  gates: z.array(gateSchema).max(40).readonly(),
});

const portionKeys = Object.keys(PORTION_KINDS) as [PortionKey, ...PortionKey[]];

const jobSchema = z
  .object({
    use: z.enum(JOB_USES, { error: `must be one of ${JOB_USES.join(', ')}` }),
    what: z.string().trim().max(80, 'must be at most 80 characters').default(''),
    piece: z.enum(PIECE_KEYS, { error: `must be one of ${PIECE_KEYS.join(', ')}` }).optional(),
    guests: within(BRIEF_REACH.guests).optional(),
    each: within(BRIEF_REACH.each).optional(),
    count: within(BRIEF_REACH.count),
    portion: z.enum(portionKeys, { error: `must be one of ${portionKeys.join(', ')}` }),
    sizes: z.record(z.string().max(20), z.number().min(0).max(5000)),
    mm: z.number().min(0, 'must be 0 mm or more').max(120, 'must be at most 120 mm'),
    sides: z.boolean(),
    slope: z.enum(SLOPES, { error: `must be one of ${SLOPES.join(', ')}` }).default('upright'),
    workC: within(BRIEF_REACH.workC).optional(),
    eatC: within(BRIEF_REACH.eatC),
    hours: within(BRIEF_REACH.hours),
    place: z.enum(PLACES),
    caught: z.boolean(),
    overruled: z
      .record(
        z.string().max(60),
        z.object({
          low: z.number().min(0).max(1e9).optional(),
          high: z.number().positive().max(1e9).optional(),
          weight: z.number().min(0.1).max(10).optional(),
        }),
      )
      .default({}),
  })
  .superRefine((job, context) => {
    for (const { key, least, most } of portionKind(job.portion).fields) {
      const value = job.sizes[key];
      if (value === undefined || value < least || value > most) {
        context.addIssue({ code: 'custom', path: ['sizes', key], message: `must be ${least} to ${most}` });
      }
    }
  });

/** What a batch must do: kept with its formula. */
export const briefSchema = z.object({
  jobs: z
    .array(jobSchema)
    .min(1, 'must have at least one job')
    .max(MOST_JOBS, `must have at most ${MOST_JOBS} jobs`)
    .readonly(),
  kitchenC: within(BRIEF_REACH.kitchenC),
  wantedAt: wantedAtSchema.optional(),
  wishes: z.preprocess(
    formerly('portionEur', 'portionCost'),
    z.object({
      shine: z.enum(SHINES),
      taste: z.enum(TASTES),
      cocoaPercent: within(BRIEF_REACH.cocoaPercent).optional(),
      keepDays: within(BRIEF_REACH.keepDays).optional(),
      keepIn: z.enum(['fridge', 'room']),
      portionCost: within(BRIEF_REACH.portionCost).optional(),
      without: z.array(z.enum(RESTRICTIONS)).max(RESTRICTIONS.length).readonly(),
      thickener: z.enum(THICKENERS),
    }),
  ),
  making: z.object({
    heat: z.enum(HEATS),
    minutes: within(BRIEF_REACH.minutes),
    hob: z.enum(Object.keys(HOB_EFFICIENCY) as [keyof typeof HOB_EFFICIENCY, ...(keyof typeof HOB_EFFICIENCY)[]]),
    powerW: within(BRIEF_REACH.powerW),
    panCm: within(BRIEF_REACH.panCm),
    bowlPercent: within(BRIEF_REACH.percent),
    reservePercent: within(BRIEF_REACH.percent),
  }),
  byHand: setByHandSchema.optional(),
}) satisfies z.ZodType<Brief>;
