import { z } from 'zod';
import { BACKUP_TABLES, backupContentsSchema } from '@/formats/backup-file';
import { askServer } from './ask-server';

const keptSchema = z.object({
  backups: z.array(
    z.object({
      name: z.string(),
      day: z.string(),
      madeAt: z.string().optional(),
      reason: z.enum(['daily', 'beforeRestore']),
      bytes: z.number(),
      contents: backupContentsSchema.optional(),
    }),
  ),
});
const count = z.number().int();
const leftOutSchema = z.object({ table: z.enum(BACKUP_TABLES), name: z.string(), reason: z.string() });
const previewSchema = z.object({
  madeAt: z.string(),
  leftOut: z.array(leftOutSchema),
  changes: z.array(
    z.object({ table: z.enum(BACKUP_TABLES), added: count, changed: count, removed: count, same: count }),
  ),
});

export type Kept = z.output<typeof keptSchema>['backups'][number];
export type Preview = z.output<typeof previewSchema>;
/** Which backup: a file, base64, or the name of one that is kept. */
export type BackupSource = { readonly file: string } | { readonly kept: string };

/** The backups that lie beside the data, the newest first. */
export async function listBackups(): Promise<Kept[]> {
  return keptSchema.parse(await askServer('/api/backups', 'GET')).backups;
}

/** What a backup would change. */
export async function previewBackup(from: BackupSource): Promise<Preview> {
  return previewSchema.parse(await askServer('/api/backup', 'POST', { from, preview: true }));
}

/** Puts it in the place of all there is. */
export async function restoreBackup(from: BackupSource): Promise<void> {
  await askServer('/api/backup', 'POST', { from, preview: false });
}

/** A file as base64. */
export function readBase64(file: File): Promise<string> {
  return new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(String(reader.result).split(',')[1] ?? '');
    reader.onerror = () => reject(new Error('The file cannot be read.'));
    reader.readAsDataURL(file);
  });
}
