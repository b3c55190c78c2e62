import { z } from 'zod';
import { photoHashSchema } from './photo';

/** Tables of a kitchen in the order they are filled: what is pointed at before what points. */
export const BACKUP_TABLES = [
  'settings',
  'ingredients',
  'formulas',
  'formula_lines',
  'formula_versions',
  'day_tasks',
  'batches',
  'batch_events',
  'kitchen_tests',
  'shelf_items',
  'practice_tries',
] as const;

export type BackupTable = (typeof BACKUP_TABLES)[number];

/** A row as the database writes it: columns by name, what is json in them with its keys in their order. */
const rowSchema = z.record(z.string().max(60), z.unknown());

const MOST_ROWS = 2_000_000;

/** Format `dark-pour/backup`, version 1: everything of a kitchen. On disk it is gzip over JSON, with the SHA-256 of that JSON in front. */
export const backupSchema = z.object({
  format: z.literal('dark-pour/backup', { error: 'must be "dark-pour/backup"' }),
  version: z.literal(1, { error: 'only version 1 can be read here' }),
  /** ISO 8601 */
  madeAt: z.iso.datetime(),
  /** newest change of the database's form when it was made */
  schema: z.string().max(80),
  tables: z.object(
    // A backup from before a table was there has none of its rows.
    Object.fromEntries(BACKUP_TABLES.map((table) => [table, z.array(rowSchema).max(MOST_ROWS).default([])])) as Record<
      BackupTable,
      z.ZodDefault<z.ZodArray<typeof rowSchema>>
    >,
  ),
  /** photos by their names, base64; the daily ones lie beside it instead */
  photos: z.record(photoHashSchema, z.base64()).default({}),
});

export type Backup = z.output<typeof backupSchema>;
export type BackupRow = z.output<typeof rowSchema>;

/** A row that cannot be read, and so is not put back. */
export interface LeftOut {
  readonly table: BackupTable;
  /** what it is called; empty where it has no name */
  readonly name: string;
  readonly reason: string;
}

/** How many rows of a table would come, change and go. */
export interface TableChange {
  readonly table: BackupTable;
  readonly added: number;
  readonly changed: number;
  readonly removed: number;
  readonly same: number;
}

/** What is in a backup, as a cook counts it. */
export const backupContentsSchema = z.object({
  formulas: z.number().int(),
  batches: z.number().int(),
  ownIngredients: z.number().int(),
  shelf: z.number().int(),
});
export type BackupContents = z.output<typeof backupContentsSchema>;

/** Counts what is in a backup: deleted formulas, typical ingredients and what is used up do not count. */
export function backupContents(tables: {
  readonly formulas: readonly BackupRow[];
  readonly batches: readonly unknown[];
  readonly ingredients: readonly BackupRow[];
  readonly shelf_items: readonly BackupRow[];
}): BackupContents {
  return {
    formulas: tables.formulas.filter((row) => row.deleted_at === null || row.deleted_at === undefined).length,
    batches: tables.batches.length,
    ownIngredients: tables.ingredients.filter(({ origin }) => origin === 'own').length,
    shelf: tables.shelf_items.filter(({ left_g }) => Number(left_g) > 0).length,
  };
}
