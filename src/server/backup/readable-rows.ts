import { type Column, getTableColumns, SQL } from 'drizzle-orm';
import type { PgTable } from 'drizzle-orm/pg-core';
import { z } from 'zod';
import { BACKUP_TABLES, type Backup, type BackupRow, type BackupTable, type LeftOut } from '@/formats/backup-file';
import { frozenBatchSchema } from '@/formats/batch';
import { daySchema } from '@/formats/day';
import { formulaFileSchema } from '@/formats/formula-file';
import { ingredientSchema } from '@/formats/ingredient';
import { practiceTrySchema } from '@/formats/practice';
import { shelfItemSchema } from '@/formats/shelf';
import * as tables from '../db/schema';
import { fileOf } from '../repositories/formula-rows';

const TABLES: Readonly<Record<BackupTable, PgTable>> = {
  settings: tables.settings,
  ingredients: tables.ingredients,
  formulas: tables.formulas,
  formula_lines: tables.formulaLines,
  formula_versions: tables.formulaVersions,
  day_tasks: tables.dayTasks,
  batches: tables.batches,
  batch_events: tables.batchEvents,
  kitchen_tests: tables.kitchenTests,
  shelf_items: tables.shelfItems,
  practice_tries: tables.practiceTries,
};

/** Columns that together stand once in a table. */
export const KEYS: Readonly<Record<BackupTable, readonly string[]>> = {
  settings: ['name'],
  ingredients: ['id'],
  formulas: ['id'],
  formula_lines: ['formula_id', 'position'],
  formula_versions: ['id'],
  day_tasks: ['id'],
  batches: ['id'],
  batch_events: ['batch_id', 'seq'],
  kitchen_tests: ['batch_id', 'key'],
  shelf_items: ['id'],
  practice_tries: ['key'],
};
const ALSO_ONCE: Partial<Record<BackupTable, readonly string[]>> = {
  batches: ['number'],
  batch_events: ['batch_id', 'key'],
};
/** What a row belongs to: it goes with it. */
const BELONGS: Partial<Record<BackupTable, readonly [column: string, to: BackupTable]>> = {
  formula_lines: ['formula_id', 'formulas'],
  formula_versions: ['formula_id', 'formulas'],
  day_tasks: ['formula_id', 'formulas'],
  batch_events: ['batch_id', 'batches'],
  kitchen_tests: ['batch_id', 'batches'],
};

/** A row by the names the code has for its columns, with the usual value of those it does not have. */
type Named = Record<string, unknown>;
type Columns = readonly (readonly [key: string, name: string, column: Column])[];

const snake = (key: string) => key.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);
const columnsOf = (table: BackupTable): Columns =>
  Object.entries(getTableColumns(TABLES[table])).map(([key, column]) => [key, snake(key), column]);

const named = (columns: Columns, row: BackupRow): Named =>
  Object.fromEntries(
    columns.map(([key, name, { default: usual }]) => [
      key,
      Object.hasOwn(row, name) ? row[name] : usual instanceof SQL ? undefined : (usual ?? null),
    ]),
  );

const INTEGER_REACH = 2 ** 31;
const YEARS = { from: '1970', to: '9999' };
const LONE_SURROGATE = /[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/;

function isDate(value: unknown): boolean {
  if (typeof value !== 'string' || !/^\d{4}-\d{2}-\d{2}[T ]/.test(value) || Number.isNaN(Date.parse(value)))
    return false;
  return value >= YEARS.from && value <= YEARS.to;
}

/** Whether a column can hold a value. */
function fits({ columnType, notNull }: Column, value: unknown): boolean {
  // What is left out takes its usual value.
  if (value === undefined) return true;
  if (value === null) return !notNull;
  switch (columnType) {
    case 'PgInteger':
      return Number.isInteger(value) && Math.abs(value as number) < INTEGER_REACH;
    case 'PgBigInt53':
      return Number.isSafeInteger(value);
    case 'PgDoublePrecision':
      return Number.isFinite(value);
    case 'PgBoolean':
      return typeof value === 'boolean';
    case 'PgTimestamp':
      return isDate(value);
    case 'PgText':
      return typeof value === 'string' && !value.includes('\0') && !LONE_SURROGATE.test(value);
    default:
      return true;
  }
}

function fault(schema: z.ZodType, value: unknown): string | undefined {
  const [issue] = schema.safeParse(value).error?.issues ?? [];
  return issue && `${issue.path.join('.')} ${issue.message}`.trim();
}

/** What a variant does differently, as far as following its base needs it. */
const variationShape = z
  .object({
    changed: z.record(z.string(), z.record(z.string(), z.unknown())),
    removed: z.array(z.string()),
    added: z.array(
      z.object({ after: z.string().nullable(), line: z.object({ ingredient: z.string(), grams: z.number() }) }),
    ),
    order: z.array(z.string()).nullish(),
    parts: z.record(z.string(), z.unknown()),
  })
  .nullable();

const STATES: ReadonlySet<unknown> = new Set(['running', 'finished', 'abandoned']);

/** What the pages would stumble over, by the schemas that read what is typed; columns have been looked at before. */
const CONTENTS: Readonly<
  Record<BackupTable, ((row: Named, linesOf: (id: unknown) => Named[]) => string | undefined) | undefined>
> = {
  settings: undefined,
  ingredients: (row) => fault(ingredientSchema, row),
  formulas: (row, linesOf) =>
    fault(formulaFileSchema, fileOf(row as never, linesOf(row.id) as never)) ?? fault(variationShape, row.variation),
  formula_lines: undefined,
  formula_versions: ({ file }) => fault(formulaFileSchema, file),
  day_tasks: ({ day }) => fault(daySchema, day),
  batches: ({ frozen, state }) => (STATES.has(state) ? fault(frozenBatchSchema, frozen) : 'state'),
  // A log tells what of it is not understood.
  batch_events: ({ what }) => (typeof what === 'object' && !Array.isArray(what) ? undefined : 'what'),
  kitchen_tests: undefined,
  shelf_items: (row) => fault(shelfItemSchema, row),
  practice_tries: (row) => fault(practiceTrySchema, row),
};

/** How a row is called to a cook. */
const calledOf = (row: Named) => String(row.name ?? row.learner ?? row.id ?? row.day ?? '').slice(0, 120);

/**
 * A backup with only those rows that this kitchen can read, as if they had been typed, and what had to be left out.
 * What belongs to a row that is left out goes with it.
 */
export function readableRows(backup: Backup): { readonly backup: Backup; readonly leftOut: readonly LeftOut[] } {
  const leftOut: LeftOut[] = [];
  const kept = {} as Record<BackupTable, BackupRow[]>;
  const lineColumns = columnsOf('formula_lines');
  const lines = new Map<unknown, Named[]>();
  for (const row of backup.tables.formula_lines.toSorted((a, b) => Number(a.position) - Number(b.position))) {
    const own = lines.get(row.formula_id);
    if (own) own.push(named(lineColumns, row));
    else lines.set(row.formula_id, [named(lineColumns, row)]);
  }
  const linesOf = (id: unknown) => lines.get(id) ?? [];
  for (const table of BACKUP_TABLES) {
    const columns = columnsOf(table);
    const belongs = BELONGS[table];
    const owners = belongs && new Set(kept[belongs[1]].map(({ id }) => id));
    const once = [KEYS[table], ALSO_ONCE[table] ?? []].filter((names) => names.length > 0);
    const seen = new Set<string>();
    kept[table] = backup.tables[table].filter((row) => {
      // It is told of what it belongs to.
      if (belongs && !owners?.has(row[belongs[0]])) return false;
      const own = named(columns, row);
      const unfit = columns.find(([key, , column]) => !fits(column, own[key]));
      const keys = once.map((names) => JSON.stringify([names, names.map((name) => row[name])]));
      const reason =
        unfit?.[1] ?? (keys.some((key) => seen.has(key)) ? 'stands there twice' : CONTENTS[table]?.(own, linesOf));
      if (reason !== undefined) {
        leftOut.push({ table, name: calledOf(own), reason });
        return false;
      }
      for (const key of keys) seen.add(key);
      return true;
    });
  }
  return { backup: { ...backup, tables: kept }, leftOut };
}
