import { z } from 'zod';
import { GATE_QUANTITIES } from '@/core/formula/gate-quantities';
import type { Moment } from '@/core/formula/moments';
import { MOMENT_ROLES, type MomentRole } from '@/core/formula/moments';
import { usualHistory } from '@/core/matter/process';

/** A name that must be there. */
export const name = (longest: number) =>
  z
    .string({ error: 'must be a text' })
    .trim()
    .min(1, 'must not be empty')
    .max(longest, `must be at most ${longest} characters`);

export const temperatureC = z
  .number({ error: 'must be a number of °C' })
  .min(-5, 'must be -5 to 110 °C: below the first ice the numbers end')
  .max(110, 'must be -5 to 110 °C');

const hours = z
  .number({ error: 'must be a number of hours' })
  .min(0, 'must be 0 h or more')
  .max(10_000, 'must be at most 10 000 h');

/** Hours at temperatures, oldest first. */
export const historySchema = z
  .array(z.tuple([hours, temperatureC], { error: 'must be [hours, °C]' }).readonly())
  .min(1, 'must hold at least one [hours, °C]')
  .max(50)
  .readonly();

/** Names that meant a role before moments had one. */
const ROLE_OF_NAME: Readonly<Record<string, MomentRole>> = {
  pan: 'pan',
  pour: 'pour',
  bench: 'bench',
  fridge: 'fridge',
  served: 'eat',
};

export const momentSchema = z
  .object({
    name: name(40),
    /** what the moment is for; told by its name in older files, else by its temperature and time */
    role: z.enum(MOMENT_ROLES, { error: `must be one of ${MOMENT_ROLES.join(', ')}` }).optional(),
    temperatureC,
    history: historySchema.optional(),
  })
  .transform(
    ({ role, history, ...moment }): Moment => ({
      ...moment,
      role: role ?? (Object.hasOwn(ROLE_OF_NAME, moment.name) ? ROLE_OF_NAME[moment.name] : undefined),
      history: history ?? usualHistory(moment.temperatureC),
    }),
  );

/** What the cost was called while it was always in euro. */
const FORMER_COST = 'costEurPerKg';

export const gateSchema = z
  .object({
    moment: name(40),
    quantity: z.preprocess(
      (value) => (value === FORMER_COST ? 'costPerKg' : value),
      z.enum(GATE_QUANTITIES, { error: `must be one of ${GATE_QUANTITIES.join(', ')}` }),
    ),
    low: z.number({ error: 'must be a number' }).min(0, 'must be 0 or more').max(1e9).optional(),
    high: z.number({ error: 'must be a number' }).positive('must be above 0').max(1e9).optional(),
    /** how much a miss counts beside the others when not all can be met */
    weight: z
      .number({ error: 'must be a number' })
      .min(0.1, 'must be 0.1 to 10')
      .max(10, 'must be 0.1 to 10')
      .optional(),
  })
  .refine((gate) => gate.low !== undefined || gate.high !== undefined, { error: 'must have a low or a high edge' })
  .refine((gate) => gate.high === undefined || (gate.low ?? 0) < gate.high, {
    error: 'low must be less than high',
    path: ['low'],
  });
