import { z } from 'zod';
import { type FormulaFile, formulaFileSchema, MOST_FORMULAS, readFormulas } from './formula-file';
import { FormulaFileError } from './formula-file-error';
import { type Ingredient, ingredientSchema } from './ingredient';
import { revisionSchema } from './kept-number';

/** What a kitchen knows a formula by, so that it is known again. */
export const keptAsSchema = z.object({
  id: z.uuid(),
  /** times it was saved */
  revision: revisionSchema,
  /** the formula it is a variant of */
  baseId: z.uuid().nullable().default(null),
});

export type KeptAs = z.output<typeof keptAsSchema>;

/** A kitchen's formulas in one file: `dark-pour/library`. */
export interface LibraryFile {
  readonly formulas: readonly FormulaFile[];
  /** what they are known by, one each; nothing in a file of formulas that no kitchen keeps */
  readonly kept: readonly KeptAs[] | undefined;
  /** own ingredients of the kitchen that they use */
  readonly ingredients: readonly Ingredient[];
}

/** What to do with formulas of a file that are here already, and differ. */
export const TAKES = ['new', 'file', 'both'] as const;

/** A file as it is sent to be kept. */
export const libraryRequestSchema = z
  .object({
    formulas: z.array(formulaFileSchema).min(1).max(MOST_FORMULAS),
    kept: z.array(keptAsSchema).optional(),
    ingredients: z.array(ingredientSchema).max(MOST_FORMULAS).default([]),
    take: z.enum(TAKES).optional(),
  })
  .refine(({ formulas, kept }) => kept === undefined || kept.length === formulas.length, {
    error: 'must name each formula once',
    path: ['kept'],
  });

/** What of a file is here already. */
export const comparisonSchema = z.object({
  absent: z.number(),
  same: z.number(),
  newerHere: z.number(),
  newerInFile: z.number(),
});

export type Comparison = z.output<typeof comparisonSchema>;

/** A library as the file it goes out as. */
export const writeLibrary = ({ formulas, kept, ingredients }: LibraryFile) => ({
  format: 'dark-pour/library',
  version: 1,
  formulas,
  kept,
  ingredients,
});

/**
 * Reads one formula, a list of them, or a library file.
 *
 * @throws {FormulaFileError} naming which of them, where and why
 */
export function readLibrary(value: unknown): LibraryFile {
  const formulas = readFormulas(value);
  const isLibrary = z.looseObject({ format: z.literal('dark-pour/library') }).safeParse(value);
  if (!isLibrary.success) return { formulas, kept: undefined, ingredients: [] };
  const rest = z
    .object({
      kept: z.array(keptAsSchema).length(formulas.length).optional(),
      ingredients: z.array(ingredientSchema).default([]),
    })
    .safeParse(isLibrary.data);
  if (!rest.success) {
    const [issue] = rest.error.issues;
    throw new FormulaFileError(`${issue?.path.join('.')} ${issue?.message}`);
  }
  return { formulas, kept: rest.data.kept, ingredients: rest.data.ingredients };
}
