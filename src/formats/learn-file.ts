import { z } from 'zod';
import { READING_SD } from '@/core/learn/calibration';
import { usualHistory } from '@/core/matter/process';
import { formulaFileSchema, placeOf } from './formula-file';
import { FormulaFileError } from './formula-file-error';
import { historySchema, temperatureC } from './moments-and-gates';

const within = (what: string, least: number, most: number) =>
  z
    .number({ error: `must be a number of ${what}` })
    .min(least, `must be ${least} to ${most} ${what}`)
    .max(most, `must be ${least} to ${most} ${what}`);

/** Standard error of a reading in natural logarithms; the usual one of its kind where it is left out. */
const sd = (usual: number) => within('ln', 0.01, 5).default(usual);
const usualRing = { volumeMl: 20, seconds: 30, ringMm: 50 };

/** What was measured, each with its own name. */
const MEASURED = {
  ring: z.strictObject({
    ring: z
      .strictObject({
        diameterMm: within('mm', 5, 1000),
        volumeMl: within('mL', 0.5, 1000).default(usualRing.volumeMl),
        seconds: within('seconds', 0.5, 3600).default(usualRing.seconds),
        ringMm: within('mm', 5, 500).default(usualRing.ringMm),
      })
      .refine(({ diameterMm, ringMm }) => diameterMm >= ringMm, {
        error: 'must be at least as wide as its ring',
        path: ['diameterMm'],
      }),
    sd: sd(READING_SD.ringOrFilm),
  }),
  film: z.strictObject({
    film: z.strictObject({
      mm: within('mm', 0.01, 100),
      lengthM: within('m', 0.001, 2),
      seconds: within('seconds', 0.5, 3600),
    }),
    sd: sd(READING_SD.ringOrFilm),
  }),
  yieldStressPa: z.strictObject({ yieldStressPa: within('Pa', 1e-4, 1e8), sd: sd(READING_SD.dentOrCone) }),
  apparentViscosityPaS: z.strictObject({
    apparentViscosityPaS: within('Pa·s', 1e-5, 1e8),
    sd: sd(READING_SD.ringOrFilm),
  }),
  stands: z.strictObject({
    stands: z.strictObject({ mm: within('mm', 1, 1000), held: z.boolean({ error: 'must be true or false' }) }),
    sd: sd(READING_SD.threshold),
  }),
  firmAfterHours: z.strictObject({
    firmAfterHours: within('hours', 0.01, 2000).describe(
      'until its fat had come half way to its rest at that temperature',
    ),
    sd: sd(READING_SD.chillTime),
  }),
} as const;

type MeasuredKind = keyof typeof MEASURED;
const KINDS = Object.keys(MEASURED) as [MeasuredKind, ...MeasuredKind[]];
const isKind = (name: string): name is MeasuredKind => Object.hasOwn(MEASURED, name);

const at = {
  formula: formulaFileSchema,
  temperatureC,
  /** as usual at that temperature where it is left out */
  history: historySchema.optional(),
};
const withHistory = <Place extends { temperatureC: number; history?: ReturnType<typeof usualHistory> | undefined }>(
  place: Place,
) => ({ ...place, history: place.history ?? usualHistory(place.temperatureC) });

const testSchema = z
  .strictObject({
    ...at,
    daysAgo: within('days', 0, 36_500).default(0),
    measured: z.union(
      KINDS.map((kind) => MEASURED[kind]),
      {
        error: `must be one of ${KINDS.join(', ')}`,
      },
    ),
  })
  .transform(withHistory);

const MOST_TESTS = 20_000;

/** Format `dark-pour/tests`, version 1: what was measured in a kitchen, and what it is to predict. */
export const learnFileSchema = z.object({
  format: z.literal('dark-pour/tests', { error: 'must be "dark-pour/tests"' }),
  version: z.literal(1, { error: 'only version 1 can be read here' }),
  tests: z
    .array(testSchema, { error: 'must be a list of tests' })
    .max(MOST_TESTS, `must be at most ${MOST_TESTS} tests`)
    .default([]),
  predict: z
    .array(z.strictObject(at).transform(withHistory), { error: 'must be a list of what to predict' })
    .max(MOST_TESTS, `must be at most ${MOST_TESTS}`)
    .default([]),
});

export type LearnFile = z.output<typeof learnFileSchema>;
export type LearnTest = LearnFile['tests'][number];

const MOST_REASONS = 5;

/** What is wrong with a measurement, by its own kind: a union only says that none fits. */
function measuredIssues(value: unknown, before: readonly PropertyKey[]): string[] {
  if (value === null || typeof value !== 'object') return [];
  const kind = Object.keys(value).find(isKind);
  const read = kind && MEASURED[kind].safeParse(value);
  if (!read || read.success) return [];
  return read.error.issues.map(({ path, message }) => `${placeOf([...before, ...path])}: ${message}`);
}

/**
 * Reads one parsed JSON value as a file of tests.
 *
 * @throws {FormulaFileError} with up to five places and reasons
 */
export function readTests(value: unknown): LearnFile {
  if (value === null || typeof value !== 'object' || Array.isArray(value)) {
    throw new FormulaFileError('tests must be a JSON object with "format", "version", "tests" and "predict"');
  }
  const parsed = learnFileSchema.safeParse(value);
  if (parsed.success) return parsed.data;
  const tests = 'tests' in value && Array.isArray(value.tests) ? value.tests : [];
  const reasons = parsed.error.issues.flatMap(({ path, message }) => {
    const isMeasured = path[0] === 'tests' && path[2] === 'measured' && path.length === 3;
    const own = isMeasured ? measuredIssues(tests[Number(path[1])]?.measured, path) : [];
    return own.length > 0 ? own : [`${placeOf(path)}: ${message}`];
  });
  throw new FormulaFileError(reasons.slice(0, MOST_REASONS).join('; '));
}
