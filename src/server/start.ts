import { backUpDaily } from './backup/daily';
import { sharedChanges } from './changes/changes';
import { dataFolder } from './db/data-folder';
import { sharedDatabase } from './db/database';
import { forTheLog, troubleOf } from './db/trouble-of';
import { forgetDeleted } from './repositories/formulas';

/** Days a deleted formula can still be brought back. */
const DELETED_KEPT_DAYS = 30;
const DAY_MS = 86_400_000;
/** Longest the database may take to close, ms. */
const LEAVING_MS = 8_000;

let leaving = false;

/** Closes the database, then leaves. */
async function leave(code: number): Promise<void> {
  if (leaving) return;
  leaving = true;
  try {
    const { close } = await sharedDatabase();
    await sharedChanges().close();
    // A disk that stands still must not keep the server.
    await Promise.race([close(), new Promise((resolve) => setTimeout(resolve, LEAVING_MS))]);
  } catch {
    // Never opened: nothing to close.
  }
  process.exit(code);
}

/** Opens the database and arranges for a clean leave. Ends the process with a message when another one owns the data. */
export async function startServer(): Promise<void> {
  process.once('SIGTERM', () => void leave(0));
  process.once('SIGINT', () => void leave(0));
  try {
    const { db } = await sharedDatabase();
    backUpDaily(dataFolder(), sharedDatabase);
    await forgetDeleted(db, new Date(Date.now() - DELETED_KEPT_DAYS * DAY_MS));
  } catch (error) {
    process.stderr.write(`${troubleOf(error)?.message ?? `The data could not be opened: ${forTheLog(error)}`}\n`);
    process.exit(1);
  }
}
