import { z } from 'zod';
import { MOST_MOMENTS } from '@/core/formula/moments';
import { DEFAULT_PROCESS } from '@/core/matter/process';
import { allergenFields, recogniseFields } from './allergen-fields';
import { briefSchema } from './brief';
import { formerly } from './former-names';
import { FormulaFileError } from './formula-file-error';
import { compositionSchema, LONGEST_MADE_OF } from './ingredient';
import { ingredientId } from './ingredient-id';
import { messageOf } from './message-of';
import { methodSchema } from './method';
import { gateSchema, momentSchema, name, temperatureC } from './moments-and-gates';
import { STAGES } from './stages';

/** Most grams a line may hold: a hundred kilograms. */
export const MOST_GRAMS = 100_000;
/** Largest formula file that is read, in bytes; one formula is a few kilobytes. */
export const LARGEST_FILE_BYTES = 5_000_000;
/** The same for a file of many. */
export const LARGEST_LIBRARY_BYTES = 30_000_000;
const MOST_LINES = 60;

const grams = z
  .number({ error: 'must be a number of grams' })
  .min(0, 'must be 0 g or more')
  .max(MOST_GRAMS, 'must be at most 100 000 g');

const share = (usual: number) =>
  z.number({ error: 'must be a number from 0 to 1' }).min(0, 'must be 0 to 1').max(1, 'must be 0 to 1').default(usual);

const lineSchema = z
  .object({
    ingredient: ingredientId,
    grams,
    form: z.string().trim().max(40).optional(),
    locked: z.boolean({ error: 'must be true or false' }).default(false),
    minGrams: grams.optional(),
    maxGrams: grams.optional(),
    /** when it goes in */
    stage: z.enum(STAGES, { error: `must be one of ${STAGES.join(', ')}` }).optional(),
    /** rows with the same letter keep their proportion in a balance */
    tie: z.string().trim().min(1).max(12).optional(),
    /** measured out with cups, spoons or by the piece, not weighed */
    byVolume: z.boolean({ error: 'must be true or false' }).optional(),
  })
  .refine((line) => line.maxGrams === undefined || (line.minGrams ?? 0) <= line.maxGrams, {
    error: 'minGrams must not be more than maxGrams',
    path: ['minGrams'],
  });

const processSchema = z.object({
  cook: share(DEFAULT_PROCESS.cook),
  mix: share(DEFAULT_PROCESS.mix),
  temper: share(DEFAULT_PROCESS.temper),
  worked: share(DEFAULT_PROCESS.worked),
  overwork: share(DEFAULT_PROCESS.overwork),
  mixTemperatureC: temperatureC.default(DEFAULT_PROCESS.mixTemperatureC),
  coldCream: share(DEFAULT_PROCESS.coldCream),
  swingC: z.number().min(0).max(40).default(DEFAULT_PROCESS.swingC),
  covered: share(DEFAULT_PROCESS.covered),
  bloomG: z.number().min(50).max(400).default(DEFAULT_PROCESS.bloomG),
  warmOffset: z.number().min(-5).max(5).default(DEFAULT_PROCESS.warmOffset),
  coldOffset: z.number().min(-5).max(5).default(DEFAULT_PROCESS.coldOffset),
  gelOffset: z.number().min(-5).max(5).default(DEFAULT_PROCESS.gelOffset),
  timeOffset: z.number().min(-5).max(5).default(DEFAULT_PROCESS.timeOffset),
});

/** Grams wanted on the table at the end, what stays in pan and bowl, and the water that boils off. */
const yieldSchema = z.object({
  targetGrams: grams.optional(),
  bowlLossGrams: grams.default(0),
  evaporationGrams: grams.optional(),
});

/** An ingredient that only this formula has. Allergens left out are unknown, an empty list says there are none. */
const ownFields = z.object({
  name: name(120),
  components: compositionSchema,
  pricePerKg: z.number().min(0).max(1e6).optional(),
  allergens: allergenFields.allergens.optional(),
  mayContain: allergenFields.mayContain.removeDefault().optional(),
  vegan: z.boolean({ error: 'must be true or false' }).optional(),
  /** what it is itself made of, in the words of its pack */
  madeOf: z.string().trim().max(LONGEST_MADE_OF).optional(),
  /** g and mg in 100 g, as labels of the United States ask for them */
  transFatG: z.number().min(0).max(100).optional(),
  cholesterolMg: z.number().min(0).max(5000).optional(),
});

export const ownIngredientSchema = z
  .preprocess(formerly('priceEurPerKg', 'pricePerKg'), ownFields)
  .transform(({ allergens, mayContain, ...own }) => {
    const read = recogniseFields({ allergens: allergens ?? null, mayContain: mayContain ?? [] });
    return {
      ...own,
      ...(read.allergens ? { allergens: read.allergens } : {}),
      ...(read.mayContain.length > 0 ? { mayContain: read.mayContain } : {}),
    };
  });

/** Format `dark-pour/formula`, version 1: the project's open formula file. */
export const formulaFileSchema = z
  .object({
    format: z.literal('dark-pour/formula', { error: 'must be "dark-pour/formula"' }),
    version: z.literal(1, { error: 'only version 1 can be read here' }),
    name: name(120),
    use: z.string().trim().max(60).optional(),
    note: z.string().trim().max(2000).optional(),
    tags: z.array(name(40)).max(20, 'must be at most 20 tags').optional(),
    lines: z
      .array(lineSchema, { error: 'must be a list of lines' })
      .max(MOST_LINES, `must be at most ${MOST_LINES} lines`),
    ingredients: z.record(ingredientId, ownIngredientSchema).default({}),
    process: processSchema.prefault({}),
    moments: z.array(momentSchema).max(MOST_MOMENTS).default([]),
    gates: z.array(gateSchema).max(40).default([]),
    yield: yieldSchema.optional(),
    /** what it must do, for how many: where its gates came from */
    brief: briefSchema.optional(),
    /** how it is made; where it is left out, the way that suits it is proposed */
    method: methodSchema.optional(),
  })
  .superRefine((file, context) => {
    const names = new Set<string>();
    file.moments.forEach((moment, index) => {
      if (names.has(moment.name)) {
        context.addIssue({
          code: 'custom',
          path: ['moments', index, 'name'],
          message: `"${moment.name}" is there twice`,
        });
      }
      names.add(moment.name);
    });
    file.gates.forEach((gate, index) => {
      if (!names.has(gate.moment)) {
        context.addIssue({
          code: 'custom',
          path: ['gates', index, 'moment'],
          message: `no moment is called "${gate.moment}"`,
        });
      }
    });
  });

export type FormulaFile = z.output<typeof formulaFileSchema>;
export type FormulaFileInput = z.input<typeof formulaFileSchema>;
export type FileLine = FormulaFile['lines'][number];
export type FileMoment = FormulaFile['moments'][number];
export type FileGate = FormulaFile['gates'][number];

/** A place in a file as a cook can find it: `lines[2].grams`. */
export function placeOf(path: readonly PropertyKey[]): string {
  return path
    .map((step, i) => (typeof step === 'number' ? `[${step}]` : `${i > 0 ? '.' : ''}${String(step)}`))
    .join('');
}

/**
 * Reads one parsed JSON value as a formula file.
 *
 * @throws {FormulaFileError} with up to five places and reasons
 */
export function readFormula(value: unknown): FormulaFile {
  if (value === null || typeof value !== 'object' || Array.isArray(value)) {
    throw new FormulaFileError('a formula must be a JSON object with "format", "version", "name" and "lines"');
  }
  const parsed = formulaFileSchema.safeParse(value);
  if (parsed.success) return parsed.data;
  const reasons = parsed.error.issues.slice(0, 5).map((issue) => {
    const at = placeOf(issue.path);
    return at ? `${at}: ${issue.message}` : issue.message;
  });
  throw new FormulaFileError(reasons.join('; '));
}

/** Most formulas one file may hold. */
export const MOST_FORMULAS = 10_000;

/**
 * Reads one formula, a list of them, or a whole library file (`dark-pour/library`).
 *
 * @throws {FormulaFileError} naming which of them, where and why
 */
export function readFormulas(value: unknown): FormulaFile[] {
  const isLibrary =
    value !== null && typeof value === 'object' && 'format' in value && value.format === 'dark-pour/library';
  const list = isLibrary ? (value as { formulas?: unknown }).formulas : value;
  if (!Array.isArray(list)) return [readFormula(list)];
  if (list.length === 0) throw new FormulaFileError('there is no formula in it');
  if (list.length > MOST_FORMULAS) throw new FormulaFileError(`${list.length} formulas are too many for one file`);
  return list.map((each, i) => {
    try {
      return readFormula(each);
    } catch (error) {
      throw new FormulaFileError(`formula ${i + 1}: ${messageOf(error)}`);
    }
  });
}

/**
 * Reads the text of a formula file.
 *
 * @throws {FormulaFileError} not JSON, too large, or not a formula
 */
export function parseFormulaText(text: string, mostBytes = LARGEST_FILE_BYTES): unknown {
  if (text.length > mostBytes) {
    throw new FormulaFileError(`the file is over ${mostBytes / 1e6} MB; a formula is a few kilobytes`);
  }
  try {
    return JSON.parse(text) as unknown;
  } catch (error) {
    throw new FormulaFileError(`this is not JSON: ${messageOf(error)}`);
  }
}
