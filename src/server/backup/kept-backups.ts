import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, statSync } from 'node:fs';
import path from 'node:path';
import writeFileAtomic from 'write-file-atomic';

/** How many daily ones are kept, and of how many months the first one. */
const DAYS = 14;
const MONTHS = 12;

const NAME = /^dark-pour-(\d{4})-(\d{2})-(\d{2})\.backup$/;
const nameOn = (day: string) => `dark-pour-${day}.backup`;

/** A backup that lies beside the data folder. */
export interface KeptBackup {
  /** `2026-11-26` */
  readonly day: string;
  readonly bytes: number;
}

/** Where the backups of a data folder lie: outside it, so that what becomes of one does not become of the other. */
export const backupsFolder = (folder: string) =>
  process.env.DARK_POUR_BACKUPS ? path.resolve(process.env.DARK_POUR_BACKUPS) : `${folder}-backups`;

/** The backups there are, the newest first. */
export function listKept(folder: string): KeptBackup[] {
  const place = backupsFolder(folder);
  if (!existsSync(place)) return [];
  return readdirSync(place)
    .flatMap((name) => {
      const [, year, month, day] = NAME.exec(name) ?? [];
      return year ? [{ day: `${year}-${month}-${day}`, bytes: statSync(path.join(place, name)).size }] : [];
    })
    .sort((a, b) => b.day.localeCompare(a.day));
}

/** One of them; nothing when there is none of that day. */
export function readKept(folder: string, day: string): Buffer | undefined {
  return listKept(folder).some((each) => each.day === day)
    ? readFileSync(path.join(backupsFolder(folder), nameOn(day)))
    : undefined;
}

/** Which of some days' backups go: all but the newest fourteen and the first of each of the last twelve months. */
export function outdated(days: readonly string[]): string[] {
  const sorted = [...days].sort().reverse();
  const months = [...new Set(sorted.map((day) => day.slice(0, 7)))].slice(0, MONTHS);
  const first = new Set(months.map((month) => sorted.findLast((day) => day.startsWith(month))));
  return sorted.filter((day, i) => i >= DAYS && !first.has(day));
}

/** Keeps the backup of a day and lets go of those that are outdated. */
export function keepBackup(folder: string, day: string, bytes: Buffer): void {
  const place = backupsFolder(folder);
  mkdirSync(place, { recursive: true, mode: 0o700 });
  writeFileAtomic.sync(path.join(place, nameOn(day)), bytes, { mode: 0o600 });
  for (const old of outdated(listKept(folder).map((each) => each.day))) rmSync(path.join(place, nameOn(old)));
}
