import { z } from 'zod';
import { BACKUP_TABLES, backupContentsSchema } from '@/formats/backup-file';
import { askServer, RefusedError } from './ask-server';
import { followLines } from './follow-lines';

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

/** How work on a backup is watched and stopped. */
export interface BackupWatching {
  readonly signal: AbortSignal;
  /** told how much of it is unpacked, 0-1 */
  readonly onProgress: (share: number) => void;
}

async function ask(from: BackupSource, preview: boolean, { signal, onProgress }: BackupWatching): Promise<unknown> {
  let answer: Response;
  try {
    answer = await fetch('/api/backup', {
      method: 'POST',
      headers: { 'content-type': 'application/json', accept: 'application/x-ndjson' },
      body: JSON.stringify({ from, preview }),
      signal,
    });
  } catch {
    throw signal.aborted
      ? new RefusedError('Stopped. Nothing was changed.', 0)
      : new RefusedError('The server cannot be reached.', 0);
  }
  return followLines(answer, onProgress);
}

/** What a backup would change. */
export async function previewBackup(from: BackupSource, watching: BackupWatching): Promise<Preview> {
  return previewSchema.parse(await ask(from, true, watching));
}

/** Puts it in the place of all there is. */
export async function restoreBackup(from: BackupSource, watching: BackupWatching): Promise<void> {
  await ask(from, false, watching);
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
