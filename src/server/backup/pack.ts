import { createHash } from 'node:crypto';
import { Readable } from 'node:stream';
import { promisify } from 'node:util';
import { createGzip, gunzip } from 'node:zlib';
import { recordOf } from '@/core/keys-of';
import {
  BACKUP_TABLES,
  type Backup,
  type BackupContents,
  type BackupRow,
  type BackupTable,
  backupContents,
  backupSchema,
  type LeftOut,
} from '@/formats/backup-file';
import { offThread, type Watching } from '../heavy/off-thread';
import { photosOf } from './photos-in-backup';
import { readableRows } from './readable-rows';

const unpack = promisify(gunzip);
/** Rows that are written in one piece. */
const ROWS_AT_ONCE = 500;

/** Largest backup that is opened, bytes once unpacked. */
const LARGEST = 1_000_000_000;

/** A file that is no backup, or no whole one. */
export class BackupError extends Error {
  override readonly name = 'BackupError';
}

/** A backup as it was taken: its rows as the database wrote them, so that nobody has to read them again to keep them. */
export interface BackupParts {
  /** ISO 8601 */
  readonly madeAt: string;
  readonly schema: string;
  readonly tables: Readonly<Record<BackupTable, readonly string[]>>;
  /** data folder whose photos go into it; none where they lie beside it */
  readonly photosFrom?: string;
}

/** The JSON of a backup, piece by piece. */
function* piecesOf({ madeAt, schema, tables, photosFrom }: BackupParts): Generator<string> {
  const head = { format: 'dark-pour/backup', version: 1, madeAt, schema };
  yield `${JSON.stringify(head).slice(0, -1)},"tables":{`;
  for (const [i, table] of BACKUP_TABLES.entries()) {
    yield `${i > 0 ? ',' : ''}${JSON.stringify(table)}:[`;
    for (let from = 0; from < tables[table].length; from += ROWS_AT_ONCE) {
      yield `${from > 0 ? ',' : ''}${tables[table].slice(from, from + ROWS_AT_ONCE).join(',')}`;
    }
    yield ']';
  }
  yield '},"photos":{';
  let isFirst = true;
  for (const [hash, text] of photosFrom === undefined ? [] : photosOf(photosFrom)) {
    yield `${isFirst ? '' : ','}${JSON.stringify(hash)}:${JSON.stringify(text)}`;
    isFirst = false;
  }
  yield '}}';
}

/** A backup with its rows read. */
export function readParts({ madeAt, schema, tables }: BackupParts): Backup {
  const rows = recordOf(BACKUP_TABLES, (table) => tables[table].map((row) => JSON.parse(row) as BackupRow));
  return { format: 'dark-pour/backup', version: 1, madeAt, schema, tables: rows, photos: {} };
}

/** A backup packed, and what is in it. */
export interface Packed {
  readonly bytes: Uint8Array;
  readonly contents: BackupContents;
}

/**
 * Packs a backup as it lies on the disk: gzip over the SHA-256 of the JSON, a line end, and the JSON.
 *
 * @param onProgress told how much is done, 0-1
 */
export async function packParts(
  parts: BackupParts,
  onProgress: (share: number) => void = () => undefined,
): Promise<Packed> {
  const hash = createHash('sha256');
  const pieces: Buffer[] = [];
  for (const piece of piecesOf(parts)) {
    const bytes = Buffer.from(piece);
    hash.update(bytes);
    pieces.push(bytes);
  }
  onProgress(0.3);
  const packed: Buffer[] = [];
  const zipped = Readable.from([Buffer.from(`${hash.digest('hex')}\n`), ...pieces]).pipe(createGzip());
  for await (const part of zipped) packed.push(part as Buffer);
  onProgress(1);
  const rows = (table: BackupTable) => parts.tables[table].map((row) => JSON.parse(row) as BackupRow);
  const few = { formulas: rows('formulas'), ingredients: rows('ingredients'), shelf_items: rows('shelf_items') };
  return { bytes: Buffer.concat(packed), contents: backupContents({ ...few, batches: parts.tables.batches }) };
}

/** The same on the thread for heavy work. */
export const packOffThread = (parts: BackupParts, watching?: Watching): Promise<Packed> =>
  offThread('packBackup', parts, () => packParts(parts), watching);

/**
 * Reads a backup and checks that it is whole.
 *
 * @param known changes of the database's form this version knows, the oldest first
 * @throws {BackupError} no backup, not whole, or made by a newer version
 */
export async function unpackBackup(bytes: Uint8Array, known: readonly string[]): Promise<Backup> {
  let whole: Buffer;
  try {
    whole = await unpack(bytes, { maxOutputLength: LARGEST });
  } catch {
    throw new BackupError('This is no backup of Dark Pour, or not a whole one: it cannot be unpacked.');
  }
  const end = whole.indexOf('\n');
  const content = whole.subarray(end + 1);
  const sum = createHash('sha256').update(content).digest('hex');
  if (end !== 64 || sum !== whole.toString('latin1', 0, end)) {
    throw new BackupError('This backup is not as it was made: its checksum differs. Take another one.');
  }
  let value: unknown;
  try {
    value = JSON.parse(content.toString('utf8'));
  } catch {
    throw new BackupError('This is no backup of Dark Pour.');
  }
  const read = backupSchema.safeParse(value);
  if (!read.success) {
    const [issue] = read.error.issues;
    throw new BackupError(`This is no backup that can be read here: ${issue?.path.join('.')} ${issue?.message}.`);
  }
  if (!known.includes(read.data.schema)) {
    throw new BackupError('This backup was made by a newer Dark Pour. Bring this one up to date first.');
  }
  return read.data;
}

/** What a file holds that this kitchen can read, and what had to be left out. */
export interface Unpacked {
  readonly backup: Backup;
  readonly leftOut: readonly LeftOut[];
}

/** Unpacks a backup and reads each of its rows. @throws {BackupError} as {@link unpackBackup} */
export async function unpackReadable(
  bytes: Uint8Array,
  schemas: readonly string[],
  onProgress: (share: number) => void = () => undefined,
): Promise<Unpacked> {
  const backup = await unpackBackup(bytes, schemas);
  onProgress(0.5);
  const read = readableRows(backup);
  onProgress(1);
  return read;
}

/** The same on the thread for heavy work. @throws {BackupError} */
export async function unpackOffThread(
  bytes: Uint8Array,
  schemas: readonly string[],
  watching?: Watching,
): Promise<Unpacked> {
  try {
    return await offThread('unpackBackup', { bytes, schemas }, () => unpackReadable(bytes, schemas), watching);
  } catch (error) {
    throw (error as Error).name === 'BackupError' ? new BackupError((error as Error).message) : error;
  }
}
