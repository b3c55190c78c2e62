import { randomUUID } from 'node:crypto';
import { existsSync, linkSync, mkdirSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import writeFileAtomic from 'write-file-atomic';
import { type BackupContents, backupContents, backupContentsSchema } from '@/formats/backup-file';
import { flush } from '../db/flush-tree';
import { type BackupParts, packOffThread, unpackOffThread } from './pack';

/** How many daily ones are kept, and of how many months the first one. */
const DAYS = 14;
const MONTHS = 12;
/** Days that what was there before a restore is kept. */
const BEFORE_RESTORE_DAYS = 30;
const DAY_MS = 86_400_000;

/** `dark-pour-2026-11-26.backup`, or `dark-pour-2026-11-26T181502.417Z-before-restore.backup`. */
const NAME = /^dark-pour-(\d{4}-\d{2}-\d{2})(?:T(\d{2})(\d{2})(\d{2})\.(\d{3})Z-before-restore(?:-\d+)?)?\.backup$/;
const dailyName = (now: Date) => `dark-pour-${now.toISOString().slice(0, 10)}.backup`;
const contentsFile = (place: string) => `${place}.contents.json`;

/** A backup that lies beside the data folder. */
export interface KeptBackup {
  readonly name: string;
  /** `2026-11-26` */
  readonly day: string;
  /** ISO 8601; a daily one says only its day */
  readonly madeAt: string | undefined;
  readonly reason: 'daily' | 'beforeRestore';
  readonly bytes: number;
  /** nothing for one from before this was noted */
  readonly contents: BackupContents | undefined;
}

/** Where the backups of a data folder lie: outside it, so that what becomes of one does not become of the other. */
export const backupsFolder = (folder: string) =>
  process.env.DARK_POUR_BACKUPS ? path.resolve(process.env.DARK_POUR_BACKUPS) : `${folder}-backups`;

function readContents(place: string): BackupContents | undefined {
  try {
    return backupContentsSchema.safeParse(JSON.parse(readFileSync(contentsFile(place), 'utf8'))).data;
  } catch {
    return undefined;
  }
}

/** The backups there are, the newest first. */
export function listKept(folder: string): KeptBackup[] {
  const home = backupsFolder(folder);
  if (!existsSync(home)) return [];
  return readdirSync(home)
    .flatMap((name): KeptBackup[] => {
      const [, day, hours, minutes, seconds, ms] = NAME.exec(name) ?? [];
      if (!day) return [];
      const place = path.join(home, name);
      const madeAt = hours && `${day}T${hours}:${minutes}:${seconds}.${ms}Z`;
      const reason = madeAt ? 'beforeRestore' : 'daily';
      return [{ name, day, madeAt, reason, bytes: statSync(place).size, contents: readContents(place) }];
    })
    .sort((a, b) => (b.madeAt ?? b.day).localeCompare(a.madeAt ?? a.day));
}

/** Notes what is in backups of which that is not known: those of earlier versions. */
export async function noteContents(folder: string, schemas: readonly string[]): Promise<void> {
  for (const { name, contents } of listKept(folder)) {
    const bytes = contents ? undefined : readBackup(folder, name);
    const read = bytes && (await unpackOffThread(bytes, schemas).catch(() => undefined));
    if (!read) continue;
    const place = contentsFile(path.join(backupsFolder(folder), name));
    writeFileAtomic.sync(place, JSON.stringify(backupContents(read.backup.tables)), { mode: 0o600 });
  }
}

/** One of them; nothing when there is none of that name. */
export function readBackup(folder: string, name: string): Buffer | undefined {
  return listKept(folder).some((each) => each.name === name)
    ? readFileSync(path.join(backupsFolder(folder), name))
    : undefined;
}

/** Which of some days' backups go: all but the newest fourteen and the first of each of the last twelve months. */
export function outdated(days: readonly string[]): string[] {
  const sorted = [...days].sort().reverse();
  const months = [...new Set(sorted.map((day) => day.slice(0, 7)))].slice(0, MONTHS);
  const first = new Set(months.map((month) => sorted.findLast((day) => day.startsWith(month))));
  return sorted.filter((day, i) => i >= DAYS && !first.has(day));
}

/** Lets go of daily backups that are outdated, and of those from before a restore after thirty days. */
function letGoOfOld(folder: string, now: Date): void {
  const all = listKept(folder);
  const oldDays = new Set(outdated(all.filter(({ reason }) => reason === 'daily').map(({ day }) => day)));
  for (const { name, day, madeAt } of all) {
    const isOld = madeAt ? now.getTime() - Date.parse(madeAt) > BEFORE_RESTORE_DAYS * DAY_MS : oldDays.has(day);
    if (!isOld) continue;
    const place = path.join(backupsFolder(folder), name);
    rmSync(place);
    rmSync(contentsFile(place), { force: true });
  }
}

/** Writes a backup under a name that nothing has yet: whole or not at all, and on the disk when this is over. */
async function write(folder: string, name: string, parts: BackupParts): Promise<void> {
  const home = backupsFolder(folder);
  mkdirSync(home, { recursive: true, mode: 0o700 });
  const place = path.join(home, name);
  const unfinished = `${place}.${randomUUID()}`;
  const { bytes, contents } = await packOffThread(parts);
  try {
    writeFileSync(unfinished, bytes, { mode: 0o600, flush: true });
    // Unlike a rename this never goes over what is there.
    linkSync(unfinished, place);
    writeFileAtomic.sync(contentsFile(place), JSON.stringify(contents), { mode: 0o600 });
  } finally {
    rmSync(unfinished, { force: true });
  }
  flush(home);
}

const isTaken = (error: unknown) => (error as NodeJS.ErrnoException).code === 'EEXIST';

/** Whether the day has its backup. */
export const hasDaily = (folder: string, now: Date) => existsSync(path.join(backupsFolder(folder), dailyName(now)));

/** Keeps the backup of a day, unless that day has one: the earlier one is never overwritten. */
export async function keepDaily(folder: string, parts: BackupParts, now: Date): Promise<boolean> {
  try {
    await write(folder, dailyName(now), parts);
  } catch (error) {
    if (isTaken(error)) return false;
    throw error;
  }
  letGoOfOld(folder, now);
  return true;
}

/**
 * Keeps what is there before a backup is put in its place, under a name of its own.
 *
 * @returns that name
 */
export async function keepBeforeRestore(folder: string, parts: BackupParts, now: Date): Promise<string> {
  const stem = `dark-pour-${now.toISOString().replaceAll(':', '')}-before-restore`;
  for (let n = 1; ; n++) {
    const name = `${stem}${n > 1 ? `-${n}` : ''}.backup`;
    try {
      await write(folder, name, parts);
      letGoOfOld(folder, now);
      return name;
    } catch (error) {
      if (!isTaken(error)) throw error;
    }
  }
}
