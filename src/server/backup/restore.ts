import type { LeftOut } from '@/formats/backup-file';
import { damageMended, knownDamage } from '../db/damage';
import type { OpenDatabase } from '../db/database';
import { troubleOf } from '../db/trouble-of';
import { mirrorPhotos } from '../photos/photo-folder';
import { refreshTests } from '../repositories/kitchen-tests';
import { backupsFolder, keepBeforeRestore } from './kept-backups';
import { restoreBackup, takeBackup } from './kitchen-rows';
import { BackupError, type Unpacked } from './pack';
import { keepPhotosOf } from './photos-in-backup';

/** What a restore did. */
export interface Restored {
  /** name of the backup that holds what was there before; nothing where that was damaged and could not be read */
  readonly before: string | undefined;
  readonly leftOut: readonly LeftOut[];
}

async function keepWhatIsThere(
  folder: string,
  { db, schemaName }: Pick<OpenDatabase, 'db' | 'schemaName'>,
  now: Date,
): Promise<string | undefined> {
  try {
    return await keepBeforeRestore(folder, await takeBackup(db, schemaName, now), now);
  } catch (error) {
    // A damaged kitchen cannot be read whole: that must not keep a whole one out.
    if (troubleOf(error) && knownDamage()) return undefined;
    throw error;
  }
}

/**
 * Puts a backup in the place of all there is. What was there is kept first, under a name of its own.
 *
 * @throws {BackupError} the database does not take it; nothing was changed
 */
export async function restoreKitchen(
  folder: string,
  { db, schemaName }: OpenDatabase,
  { backup, leftOut }: Unpacked,
  now: Date,
): Promise<Restored> {
  const before = await keepWhatIsThere(folder, { db, schemaName }, now);
  try {
    await restoreBackup(db, backup);
  } catch (error) {
    if (troubleOf(error)) throw error;
    throw new BackupError('The database does not take this backup. Nothing was changed.', { cause: error });
  }
  damageMended();
  await refreshTests(db);
  keepPhotosOf(backup, folder);
  mirrorPhotos(backupsFolder(folder), folder);
  return { before, leftOut };
}
