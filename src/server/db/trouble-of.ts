import { damageIn } from './damage';
import { DataTroubleError } from './disk';
import { serverTrouble } from './server-trouble';

/** Told by their names: the server's bundles have a class of their own each. */
const NAMES: ReadonlySet<string> = new Set(['DataTroubleError', 'DataFolderInUseError']);

/** What is wrong with disk or database behind an error, if that is it; the query builder wraps what it was told. */
export function troubleOf(error: unknown): Error | undefined {
  for (let each = error; each instanceof Error; each = each.cause) {
    if (NAMES.has(each.name)) return each;
    const trouble = serverTrouble(each) ?? damageIn(each);
    if (trouble) return new DataTroubleError(trouble, { cause: each });
  }
  return undefined;
}

/** An error for the log: its cause where it has one, since what wraps it repeats the statement with all that was to be kept. */
export function forTheLog(error: unknown): string {
  let last = error;
  while (last instanceof Error && last.cause instanceof Error) last = last.cause;
  return last instanceof Error ? (last.stack ?? last.message) : String(last);
}
