import { createHash } from 'node:crypto';
import { gzipSync } from 'node:zlib';
import { recordOf } from '@/core/keys-of';
import { BACKUP_TABLES, type Backup } from '@/formats/backup-file';
import type { BackupParts } from '@/server/backup/pack';

/** Anything packed as a backup is, whatever it is. */
export function packJson(value: unknown): Buffer {
  const content = JSON.stringify(value);
  return gzipSync(`${createHash('sha256').update(content).digest('hex')}\n${content}`);
}

/** A backup as it is taken, from its rows. */
export const partsOf = ({ madeAt, schema, tables }: Backup): BackupParts => ({
  madeAt,
  schema,
  tables: recordOf(BACKUP_TABLES, (table) => tables[table].map((row) => JSON.stringify(row))),
});
