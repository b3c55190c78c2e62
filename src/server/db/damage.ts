/** What the database says when a page of a file is not what it was: data or index damaged, a file that is gone, the disk not read. */
const CODES: ReadonlySet<unknown> = new Set(['XX001', 'XX002', '58P01', '58030']);

const held = globalThis as { darkPourDamage?: string };

/**
 * What is damaged, in a cook's words, where an error of the database says so. It is remembered until a backup is put back.
 *
 * @param table that was read, where that is known
 */
export function damageIn(error: unknown, table?: string): string | undefined {
  const { code, message = '' } = error as { code?: unknown; message?: string };
  if (!CODES.has(code)) return undefined;
  const [file] = /base\/\d+\/\d+(?:\.\d+)?|global\/\d+/.exec(message) ?? [];
  const relation = table ?? /(?:relation|index|table) "([^"]+)"/.exec(message)?.[1];
  const place = [relation, file && `file ${file}`].filter(Boolean).join(', ');
  held.darkPourDamage = `Part of the database is damaged${place ? ` (${place})` : ''}. Put a whole backup back: Settings, or npm run restore.`;
  return held.darkPourDamage;
}

/** What was found damaged since the start. */
export const knownDamage = (): string | undefined => held.darkPourDamage;

/** A whole kitchen stands there again. */
export function damageMended(): void {
  held.darkPourDamage = undefined;
}
