import { backUpDaily } from './backup/daily';
import { sharedChanges } from './changes/changes';
import { dataFolder } from './db/data-folder';
import { sharedDatabase } from './db/database';
import { forTheLog, troubleOf } from './db/trouble-of';

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
    await sharedDatabase();
    backUpDaily(dataFolder(), sharedDatabase);
  } catch (error) {
    process.stderr.write(`${troubleOf(error)?.message ?? `The data could not be opened: ${forTheLog(error)}`}\n`);
    process.exit(1);
  }
}
