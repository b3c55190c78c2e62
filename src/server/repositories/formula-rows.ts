import { type FileLine, type FormulaFile, formulaFileSchema } from '@/formats/formula-file';
import type { StoredFormula } from '@/formats/server-answers';
import type { formulaLines, formulas } from '../db/schema';
import { readStored } from './stored-value';

export type FormulaRow = typeof formulas.$inferSelect;
export type LineRow = typeof formulaLines.$inferSelect;

/** A row and its lines as a formula, read by the schema that read it when it came in. @throws {UnreadableError} */
export function toStored(row: FormulaRow, lines: readonly LineRow[]): StoredFormula {
  return {
    id: row.id,
    revision: row.revision,
    updatedAt: row.updatedAt.toISOString(),
    baseId: row.baseId,
    archived: row.archivedAt !== null,
    modelRevision: row.modelRevision,
    file: readStored(formulaFileSchema, fileOf(row, lines), `“${row.name}”`),
  };
}

/** The row and its lines as the file they were, not read yet. */
export function fileOf(row: FormulaRow, lines: readonly LineRow[]) {
  return {
    format: 'dark-pour/formula',
    version: 1,
    name: row.name,
    use: row.use ?? undefined,
    note: row.note ?? undefined,
    tags: row.tags ?? undefined,
    lines: lines.map(
      (line) =>
        ({
          ingredient: line.ingredient,
          grams: line.grams,
          form: line.form ?? undefined,
          locked: line.locked,
          minGrams: line.minGrams ?? undefined,
          maxGrams: line.maxGrams ?? undefined,
          stage: line.stage ?? undefined,
          tie: line.tie ?? undefined,
          byVolume: line.byVolume ?? undefined,
        }) satisfies Record<keyof FileLine, unknown>,
    ),
    ingredients: row.ownIngredients,
    process: row.process,
    moments: row.moments,
    gates: row.gates,
    yield: row.yieldTarget ?? undefined,
    brief: row.brief ?? undefined,
    method: row.method ?? undefined,
  } satisfies Record<keyof FormulaFile, unknown>;
}

/** What a row keeps besides the formula itself. */
type KeptBeside =
  | 'id'
  | 'revision'
  | 'baseId'
  | 'variation'
  | 'modelRevision'
  | 'createdAt'
  | 'updatedAt'
  | 'archivedAt'
  | 'deletedAt'
  | 'touched';

/** What of a formula stands in its row: a column that is missed fails to compile. */
export function columnsOf(file: FormulaFile) {
  return {
    name: file.name,
    use: file.use ?? null,
    note: file.note ?? null,
    tags: file.tags ?? null,
    process: file.process,
    moments: file.moments,
    gates: file.gates,
    ownIngredients: file.ingredients,
    yieldTarget: file.yield ?? null,
    brief: file.brief ?? null,
    method: file.method ?? null,
  } satisfies Omit<FormulaRow, KeptBeside>;
}

/** The rows of its pan. */
export function lineRows(formulaId: string, file: FormulaFile) {
  return file.lines.map(
    (line, position) =>
      ({
        formulaId,
        position,
        ingredient: line.ingredient,
        form: line.form ?? null,
        grams: line.grams,
        locked: line.locked,
        minGrams: line.minGrams ?? null,
        maxGrams: line.maxGrams ?? null,
        stage: line.stage ?? null,
        tie: line.tie ?? null,
        byVolume: line.byVolume ?? null,
      }) satisfies LineRow,
  );
}
