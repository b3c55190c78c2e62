import { createHash } from 'node:crypto';
import { promisify } from 'node:util';
import { gunzip, gzip } from 'node:zlib';
import { type Backup, backupSchema } from '@/formats/backup-file';

const [pack, unpack] = [promisify(gzip), promisify(gunzip)];

/** Largest backup that is opened, bytes once unpacked. */
const LARGEST = 1_000_000_000;

/** A file that is no backup, or no whole one. */
export class BackupError extends Error {
  override readonly name = 'BackupError';
}

const sumOf = (content: string) => createHash('sha256').update(content).digest('hex');

/** A backup as it lies on the disk: gzip over the SHA-256 of the JSON, a line end, and the JSON. */
export async function packBackup(backup: Backup): Promise<Buffer> {
  const content = JSON.stringify(backup);
  return pack(`${sumOf(content)}\n${content}`);
}

/**
 * Reads a backup and checks that it is whole.
 *
 * @param known changes of the database's form this version knows, the oldest first
 * @throws {BackupError} no backup, not whole, or made by a newer version
 */
export async function unpackBackup(bytes: Uint8Array, known: readonly string[]): Promise<Backup> {
  let text: string;
  try {
    text = (await unpack(bytes, { maxOutputLength: LARGEST })).toString('utf8');
  } catch {
    throw new BackupError('This is no backup of Dark Pour, or not a whole one: it cannot be unpacked.');
  }
  const end = text.indexOf('\n');
  const content = text.slice(end + 1);
  if (end !== 64 || sumOf(content) !== text.slice(0, end)) {
    throw new BackupError('This backup is not as it was made: its checksum differs. Take another one.');
  }
  let value: unknown;
  try {
    value = JSON.parse(content);
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
