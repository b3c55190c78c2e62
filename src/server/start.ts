import { sharedDatabase } from './db/database';
import { DataFolderInUseError } from './db/owner';
import { forgetDeleted } from './repositories/formulas';

/** Days a deleted formula can still be brought back. */
const DELETED_KEPT_DAYS = 30;
const DAY_MS = 86_400_000;

let leaving = false;

/** Closes the database, then leaves. */
async function leave(code: number): Promise<void> {
  if (leaving) return;
  leaving = true;
  try {
    const { close } = await sharedDatabase();
    await close();
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
    await forgetDeleted(db, new Date(Date.now() - DELETED_KEPT_DAYS * DAY_MS));
  } catch (error) {
    const message = error instanceof DataFolderInUseError ? error.message : `The data could not be opened: ${error}`;
    process.stderr.write(`${message}\n`);
    process.exit(1);
  }
}
