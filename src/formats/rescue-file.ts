import { z } from 'zod';
import { SEEN } from '@/core/rescue/belief';
import { ANSWERS, QUESTIONS } from '@/core/rescue/diagnosis';
import { SIGNS } from '@/core/rescue/signs';
import { PROBE_REACH, RING_REACH } from './batch';
import { formulaFileSchema, placeOf } from './formula-file';
import { FormulaFileError } from './formula-file-error';
import { ingredientId } from './ingredient-id';

const within = (what: string, [least, most]: readonly [number, number]) =>
  z
    .number({ error: `must be a number of ${what}` })
    .min(least, `must be ${least} to ${most} ${what}`)
    .max(most, `must be ${least} to ${most} ${what}`);

const MOST_ADDED = 100;
const MOST_LOOKS = 200;
const GRAMS = [0, 100_000] as const;

const ringSchema = z.strictObject({
  ring: z.strictObject({
    /** as warm as the pan where it is left out */
    temperatureC: within('°C', PROBE_REACH).optional(),
    diameterMm: within('mm', RING_REACH),
  }),
});

const oneOf = <Name extends string>(names: readonly [Name, ...Name[]]) =>
  z.enum(names, { error: `must be one of ${names.join(', ')}` });

const answeredSchema = z
  .strictObject({ question: oneOf(QUESTIONS), answer: z.string().max(40) })
  .refine(({ question, answer }) => Object.hasOwn(ANSWERS[question], answer), {
    error: 'is no answer to its question',
    path: ['answer'],
  });

const lookSchema = z.strictObject({
  /** what went in since the look before */
  added: z
    .array(z.strictObject({ ingredient: ingredientId, grams: within('grams', GRAMS) }))
    .max(MOST_ADDED, `must be at most ${MOST_ADDED}`)
    .default([]),
  /** as warm as before where it is left out */
  temperatureC: within('°C', PROBE_REACH).optional(),
  /** how it looks after that, or how far a ring spread */
  seen: z.union([oneOf(SEEN), ringSchema], {
    error: `must be one of ${SEEN.join(', ')}, or { "ring": { "diameterMm": … } }`,
  }),
});

/** Format `dark-pour/rescue`, version 1: a pan, what is seen of it, and what went in and was seen since. */
export const rescueFileSchema = z.object({
  format: z.literal('dark-pour/rescue', { error: 'must be "dark-pour/rescue"' }),
  version: z.literal(1, { error: 'only version 1 can be read here' }),
  name: z.string().max(200).optional(),
  formula: formulaFileSchema,
  /** at its pour where it is left out */
  temperatureC: within('°C', PROBE_REACH).optional(),
  sign: oneOf(SIGNS),
  answers: z
    .array(answeredSchema, { error: 'must be a list of answers' })
    .max(QUESTIONS.length, `must be at most ${QUESTIONS.length}`)
    .default([]),
  // biome-ignore lint/suspicious/noThenProperty: the name of the open format; nothing awaits a file
  then: z
    .array(lookSchema, { error: 'must be a list of what went in and was seen' })
    .max(MOST_LOOKS, `must be at most ${MOST_LOOKS}`)
    .default([]),
});

export type RescueFile = z.output<typeof rescueFileSchema>;

const MOST_REASONS = 5;

/**
 * Reads one parsed JSON value as a rescue file.
 *
 * @throws {FormulaFileError} with up to five places and reasons
 */
export function readRescue(value: unknown): RescueFile {
  if (value === null || typeof value !== 'object' || Array.isArray(value)) {
    throw new FormulaFileError('a rescue must be a JSON object with "format", "version", "formula", "sign" and "then"');
  }
  const parsed = rescueFileSchema.safeParse(value);
  if (parsed.success) return parsed.data;
  const reasons = parsed.error.issues.map(({ path, message }) => `${placeOf(path)}: ${message}`);
  throw new FormulaFileError(reasons.slice(0, MOST_REASONS).join('; '));
}
