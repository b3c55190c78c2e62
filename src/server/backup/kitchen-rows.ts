import { sql } from 'drizzle-orm';
import { BACKUP_TABLES, type Backup, type BackupRow, type BackupTable, type TableChange } from '@/formats/backup-file';
import type { Database } from '../db/query-builder';
import { answeredWrites } from '../db/schema';
import type { BackupParts } from './pack';
import { KEYS } from './readable-rows';

/** All tables as they were when the first was read. */
const ONE_MOMENT = { isolationLevel: 'repeatable read' } as const;
const ROWS_AT_ONCE = 200;
const READ_AT_ONCE = 500;

/** A query's rows, whatever database answers. */
async function rowsOf<Row>(db: Pick<Database, 'execute'>, query: ReturnType<typeof sql>): Promise<Row[]> {
  return ((await db.execute(query)) as { rows: Row[] }).rows;
}

/**
 * Reads a table as the database writes its rows, a part at a time: no question takes long, and others who ask have their turn.
 *
 * @param tx a transaction: rows stand as they were when the first was read
 */
async function readTable(
  tx: Pick<Database, 'execute'>,
  table: BackupTable,
  take: (rows: readonly string[]) => void,
): Promise<void> {
  const name = sql.identifier(table);
  const order = sql.join(
    KEYS[table].map((key) => sql.identifier(key)),
    sql`, `,
  );
  await tx.execute(
    sql`declare rows_of_table no scroll cursor for select row_to_json(t)::text as row from ${name} t order by ${order}`,
  );
  for (;;) {
    const found = await rowsOf<{ row: string }>(tx, sql`fetch ${sql.raw(String(READ_AT_ONCE))} from rows_of_table`);
    take(found.map(({ row }) => row));
    if (found.length < READ_AT_ONCE) break;
  }
  await tx.execute(sql`close rows_of_table`);
}

/** Everything of a kitchen at one moment, row by row as the database writes it. */
export async function takeBackup(db: Database, schema: string, now: Date): Promise<BackupParts> {
  return db.transaction(async (tx) => {
    const tables = {} as Record<BackupTable, string[]>;
    for (const table of BACKUP_TABLES) {
      const rows: string[] = [];
      await readTable(tx, table, (more) => rows.push(...more));
      tables[table] = rows;
    }
    return { madeAt: now.toISOString(), schema, tables };
  }, ONE_MOMENT);
}

/** What a backup would change here, table by table. Nothing is changed. */
export async function compareBackup(db: Database, backup: Backup): Promise<TableChange[]> {
  return db.transaction(async (tx) => {
    const changes: TableChange[] = [];
    for (const table of BACKUP_TABLES) {
      const keyOf = (row: BackupRow) => JSON.stringify(KEYS[table].map((key) => row[key]));
      const there = new Map(backup.tables[table].map((row) => [keyOf(row), row]));
      const count = { added: 0, changed: 0, same: 0, removed: 0 };
      await readTable(tx, table, (texts) => {
        for (const text of texts) {
          const row = JSON.parse(text) as BackupRow;
          const other = there.get(keyOf(row));
          there.delete(keyOf(row));
          if (other === undefined) count.removed += 1;
          else if (JSON.stringify(other) === JSON.stringify(row)) count.same += 1;
          else count.changed += 1;
        }
      });
      count.added = there.size;
      changes.push({ table, ...count });
    }
    return changes;
  }, ONE_MOMENT);
}

/** Columns of a table, as the database has them. */
async function columnsOf(db: Pick<Database, 'execute'>, table: BackupTable): Promise<Set<string>> {
  const found = await rowsOf<{ name: string }>(
    db,
    sql`select column_name as name from information_schema.columns where table_schema = current_schema() and table_name = ${table}`,
  );
  return new Set(found.map(({ name }) => name));
}

/** Puts a backup in the place of all there is: everything or nothing. A column that it does not have takes its usual value. */
export async function restoreBackup(db: Database, backup: Backup): Promise<void> {
  await db.transaction(async (tx) => {
    const all = sql.join(
      BACKUP_TABLES.map((table) => sql.identifier(table)),
      sql`, `,
    );
    // Into new files: a table whose own is damaged is mended by it.
    await tx.execute(sql`truncate table ${all}`);
    // What was answered about rows that are gone is not answered again.
    await tx.delete(answeredWrites);
    for (const table of BACKUP_TABLES) {
      const known = await columnsOf(tx, table);
      const rows = backup.tables[table];
      const present = Object.keys(rows[0] ?? {}).filter((column) => known.has(column));
      if (present.length === 0) continue;
      const columns = sql.join(
        present.map((column) => sql.identifier(column)),
        sql`, `,
      );
      const name = sql.identifier(table);
      for (let i = 0; i < rows.length; i += ROWS_AT_ONCE) {
        const text = JSON.stringify(rows.slice(i, i + ROWS_AT_ONCE));
        await tx.execute(
          sql`insert into ${name} (${columns}) select ${columns} from json_populate_recordset(null::${name}, ${text}::json)`,
        );
      }
    }
    await countOn(tx, backup);
  });
}

/** The list goes on in the order it had; backups from before it was counted tell it by their times. */
async function countOn(tx: Pick<Database, 'execute'>, backup: Backup): Promise<void> {
  if (backup.tables.formulas.some((row) => !('touched' in row))) {
    await tx.execute(sql`
      update formulas set touched = numbered.place
      from (select id, row_number() over (order by updated_at, id desc) as place from formulas) as numbered
      where formulas.id = numbered.id`);
  }
  await tx.execute(sql`select setval('formulas_touched', (select coalesce(max(touched), 0) + 1 from formulas), false)`);
}
