import type { OpenDatabase } from '../db/database';
import { forTheLog } from '../db/trouble-of';
import { keepBackup, listKept } from './kept-backups';
import { takeBackup } from './kitchen-rows';
import { packBackup } from './pack';

const LOOK_EVERY_MS = 3_600_000;
/** After the start, so that the first pages are not kept waiting. */
const FIRST_MS = 60_000;

/** The backup of today, unless there is one. */
export async function backUpToday(folder: string, { db, schemaName }: OpenDatabase, now: Date): Promise<boolean> {
  const day = now.toISOString().slice(0, 10);
  if (listKept(folder).some((each) => each.day === day)) return false;
  keepBackup(folder, day, await packBackup(await takeBackup(db, schemaName, now)));
  return true;
}

/** Backs up once a day for as long as the server runs. */
export function backUpDaily(folder: string, database: () => Promise<OpenDatabase>): void {
  const look = async () => {
    try {
      await backUpToday(folder, await database(), new Date());
    } catch (error) {
      process.stderr.write(`The daily backup was not made: ${forTheLog(error)}\n`);
    }
  };
  setTimeout(look, FIRST_MS).unref();
  setInterval(look, LOOK_EVERY_MS).unref();
}
