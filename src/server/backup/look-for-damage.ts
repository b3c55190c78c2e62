import { sql } from 'drizzle-orm';
import { BACKUP_TABLES, type BackupTable } from '@/formats/backup-file';
import { damageIn } from '../db/damage';
import type { Database } from '../db/query-builder';
import { listKept, readBackup } from './kept-backups';
import { unpackBackup } from './pack';
import { KEYS } from './readable-rows';

/** Reads each row of a table by way of its index: a page that is missing is noticed by that, not by reading what is left. */
async function readByIndex(db: Database, table: BackupTable): Promise<void> {
  const keys = sql.join(
    KEYS[table].map((key) => sql.identifier(key)),
    sql`, `,
  );
  await db.transaction(async (tx) => {
    for (const way of ['seqscan', 'bitmapscan', 'indexonlyscan']) {
      await tx.execute(sql`set local ${sql.raw(`enable_${way}`)} = off`);
    }
    const rows = sql`select ctid from ${sql.identifier(table)} order by ${keys}`;
    await tx.execute(sql`select count(*) from (${rows}) as each_row`);
  });
}

/**
 * Looks through all tables: after a stop that was not clean, what a broken disk lost is found here and not by a cook.
 *
 * @returns what is damaged, if anything
 */
export async function lookForDamage(db: Database): Promise<string | undefined> {
  for (const table of BACKUP_TABLES) {
    try {
      await readByIndex(db, table);
    } catch (error) {
      for (let each = error; each instanceof Error; each = each.cause) {
        const damage = damageIn(each, table);
        if (damage) return damage;
      }
      throw error;
    }
  }
  return undefined;
}

/** The newest backup that is whole: looked at from its checksum to its last row. */
export async function newestWhole(folder: string, schemas: readonly string[]): Promise<string | undefined> {
  for (const { name } of listKept(folder)) {
    const bytes = readBackup(folder, name);
    const isWhole = bytes && (await unpackBackup(bytes, schemas).then(Boolean, () => false));
    if (isWhole) return name;
  }
  return undefined;
}
