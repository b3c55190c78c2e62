import { z } from 'zod';
import { BACKUP_TABLES } from '@/formats/backup-file';
import { askServer } from './ask-server';

const keptSchema = z.object({ backups: z.array(z.object({ day: z.string(), bytes: z.number() })) });
const count = z.number().int();
const previewSchema = z.object({
  madeAt: z.string(),
  changes: z.array(
    z.object({ table: z.enum(BACKUP_TABLES), added: count, changed: count, removed: count, same: count }),
  ),
});

export type Kept = z.output<typeof keptSchema>['backups'];
export type Preview = z.output<typeof previewSchema>;

/** The backups that were made by themselves, the newest first. */
export async function listBackups(): Promise<Kept> {
  return keptSchema.parse(await askServer('/api/backups', 'GET')).backups;
}

/** What a backup would change. */
export async function previewBackup(backup: string): Promise<Preview> {
  return previewSchema.parse(await askServer('/api/backup', 'POST', { backup, preview: true }));
}

/** Puts it in the place of all there is. */
export async function restoreBackup(backup: string): Promise<void> {
  await askServer('/api/backup', 'POST', { backup, preview: false });
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
