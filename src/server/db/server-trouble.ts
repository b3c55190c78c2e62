const STAYS = 'What is typed stays on the tablet; earlier saves are untouched.';
const SILENT = `The database server does not answer: nothing can be saved until it does. ${STAYS}`;

const FULL = `The disk is full: nothing can be saved until there is room again. ${STAYS}`;

/** Codes of the system and of PostgreSQL, and what they mean to a cook. */
const WORDS: Readonly<Record<string, string>> = {
  ECONNREFUSED: SILENT,
  ECONNRESET: SILENT,
  ETIMEDOUT: SILENT,
  EHOSTUNREACH: SILENT,
  ENOTFOUND: SILENT,
  EPIPE: SILENT,
  ENOSPC: FULL,
  EDQUOT: FULL,
  EROFS: `The disk can only be read: nothing can be saved. ${STAYS}`,
  // admin shutdown, crash shutdown, starting up, too many connections, connection failures
  '57P01': SILENT,
  '57P02': SILENT,
  '57P03': SILENT,
  // canceling statement due to statement timeout
  '57014': SILENT,
  '53300': SILENT,
  '08000': SILENT,
  '08003': SILENT,
  '08006': SILENT,
  // disk full; a standby, or a disk that can only be read
  '53100': `The disk of the database server is full: nothing can be saved until there is room again. ${STAYS}`,
  '25006': `The database server can only be read: nothing can be saved. ${STAYS}`,
};

/** What is wrong with the database server behind an error, if that is it. */
export function serverTrouble(error: unknown): string | undefined {
  if (!(error instanceof Error)) return undefined;
  const { code } = error as { code?: unknown };
  if (typeof code === 'string' && Object.hasOwn(WORDS, code)) return WORDS[code];
  return /^(Connection terminated|timeout exceeded when trying to connect|timeout expired|Query read timeout|Client has encountered a connection error)/.test(
    error.message,
  )
    ? SILENT
    : undefined;
}
