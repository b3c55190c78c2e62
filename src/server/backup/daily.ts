import { knownSchemas, type OpenDatabase } from '../db/database';
import { forTheLog, troubleOf } from '../db/trouble-of';
import { dropPhotos, mirrorPhotos } from '../photos/photo-folder';
import { forgetAnswered } from '../repositories/answered-writes';
import { shownPhotos } from '../repositories/batch-photos';
import { forgetDeleted } from '../repositories/formulas';
import { backupsFolder, hasDaily, keepDaily, listKept, noteContents } from './kept-backups';
import { takeBackup } from './kitchen-rows';

/** Days a deleted formula can still be brought back, and daily backups that must have been made since. */
const DELETED_KEPT_DAYS = 30;
const DAYS_SEEN = 7;
/** Days a photo that no batch shows is kept: a tablet may tell of it late, and a backup may be put back. */
const PHOTOS_KEPT_DAYS = 30;
const DAY_MS = 86_400_000;
const LOOK_EVERY_MS = 3_600_000;
/** After the start, so that the first pages are not kept waiting. */
const FIRST_MS = 60_000;

/** The backup of today, unless there is one. */
export async function backUpToday(folder: string, { db, schemaName }: OpenDatabase, now: Date): Promise<boolean> {
  if (hasDaily(folder, now) || !(await keepDaily(folder, await takeBackup(db, schemaName, now), now))) return false;
  // Photos do not change: one copy beside all the days is enough.
  mirrorPhotos(folder, backupsFolder(folder));
  return true;
}

/**
 * Forgets what was deleted long ago. A clock that jumps ahead must not do it: so many daily backups since then say that the days have passed, and
 * hold what is forgotten.
 */
export async function forgetLongDeleted(folder: string, { db }: OpenDatabase, now: Date): Promise<void> {
  const days = listKept(folder)
    .filter(({ reason }) => reason === 'daily')
    .map(({ day }) => new Date(`${day}T00:00:00Z`).getTime());
  const [oldest] = days.sort((a, b) => b - a).slice(DAYS_SEEN - 1);
  if (oldest === undefined) return;
  await forgetDeleted(db, new Date(Math.min(oldest, now.getTime() - DELETED_KEPT_DAYS * DAY_MS)));
}

/** Forgets photos that were taken out of the book, here and among the backups. */
async function forgetPhotos(folder: string, { db }: OpenDatabase, now: Date): Promise<void> {
  const shown = await shownPhotos(db);
  const before = new Date(now.getTime() - PHOTOS_KEPT_DAYS * DAY_MS);
  for (const each of [folder, backupsFolder(folder)]) dropPhotos(each, shown, before);
}

const held = globalThis as { darkPourBackupTrouble?: { readonly at: string; readonly message: string } };

/** Why the last daily backup was not made, and when that was; nothing where it was. */
export const backupTrouble = () => held.darkPourBackupTrouble;

/** Backs up once a day for as long as the server runs. */
export function backUpDaily(folder: string, database: () => Promise<OpenDatabase>): void {
  const look = async () => {
    try {
      const open = await database();
      await backUpToday(folder, open, new Date());
      delete held.darkPourBackupTrouble;
      await noteContents(folder, knownSchemas());
      await forgetLongDeleted(folder, open, new Date());
      await forgetAnswered(open.db, new Date());
      await forgetPhotos(folder, open, new Date());
    } catch (error) {
      const isMade = hasDaily(folder, new Date());
      const message = troubleOf(error)?.message ?? 'The reason is in the log of the server.';
      if (!isMade) held.darkPourBackupTrouble = { at: new Date().toISOString(), message };
      const what = isMade ? 'What was deleted long ago was not forgotten' : 'The daily backup was not made';
      process.stderr.write(`${what}: ${forTheLog(error)}\n`);
    }
  };
  setTimeout(look, FIRST_MS).unref();
  setInterval(look, LOOK_EVERY_MS).unref();
}
