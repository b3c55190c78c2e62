import { backUpDaily } from './backup/daily';
import { lookForDamage } from './backup/look-for-damage';
import { sharedChanges } from './changes/changes';
import { dataFolder } from './db/data-folder';
import { type OpenDatabase, sharedDatabase } from './db/database';
import { forTheLog, troubleOf } from './db/trouble-of';

/** Longest the database may take to close, ms. */
const LEAVING_MS = 4_500;
/** What ends a server: its stop, Ctrl+C, a terminal that is closed. */
const SIGNALS = ['SIGTERM', 'SIGINT', 'SIGHUP', 'SIGQUIT'] as const;

let leaving = false;

/** Closes the database, then leaves. */
async function leave(code: number): Promise<void> {
  if (leaving) return;
  leaving = true;
  const close = async () => {
    const open = await sharedDatabase();
    await sharedChanges().close();
    await open.close();
  };
  // A disk that stands still must not keep the server; where it was never opened there is nothing to close.
  await Promise.race([close().catch(() => undefined), new Promise((resolve) => setTimeout(resolve, LEAVING_MS))]);
  process.exit(code);
}

/** Looks through a kitchen that was not closed cleanly, beside the first pages. */
async function lookThrough({ db, wasClosed }: OpenDatabase): Promise<void> {
  if (wasClosed) return;
  const damage = await lookForDamage(db).catch((error) => `The data could not be looked through: ${forTheLog(error)}`);
  if (damage) process.stderr.write(`${damage}\n`);
}

/** Opens the database and arranges for a clean leave. Ends the process with a message when another one owns the data. */
export async function startServer(): Promise<void> {
  // Not once: where only others listen they end the process before its database is closed.
  for (const signal of SIGNALS) process.on(signal, () => void leave(0));
  try {
    const open = await sharedDatabase();
    void lookThrough(open);
    backUpDaily(dataFolder(), sharedDatabase);
  } catch (error) {
    process.stderr.write(`${troubleOf(error)?.message ?? `The data could not be opened: ${forTheLog(error)}`}\n`);
    process.exit(1);
  }
}
