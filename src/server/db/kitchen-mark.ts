import { existsSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import writeFileAtomic from 'write-file-atomic';
import { DataTroubleError } from './disk';
import { flushTree } from './flush-tree';

/** Says that the folder holds a kitchen: written once everything of it has reached the disk. */
const MARK = 'kitchen.json';
/** What earlier versions left once a folder had been stocked. */
const FORMER_MARK = 'prepared';
/** Stands while a kitchen is being made. */
const MAKING = 'making';
const DATABASE = 'db';
/** The first file a database writes. */
const FIRST_FILE = 'PG_VERSION';

export const databaseFolder = (folder: string) => path.join(folder, DATABASE);

const has = (folder: string, name: string) => existsSync(path.join(folder, name));
/** Whether a kitchen stands in a folder. */
export const isMarked = (folder: string) => has(folder, MARK) || has(folder, FORMER_MARK);

/**
 * Looks at a folder before its database is opened. Where a kitchen is marked its database must be there: an empty one is never made in its
 * place. What a power cut left of one that was being made holds nothing yet, and is put aside.
 *
 * @throws {DataTroubleError} the kitchen's database is gone
 */
export function expectKitchen(folder: string): void {
  const isBegun = has(databaseFolder(folder), FIRST_FILE);
  if (isMarked(folder)) {
    if (isBegun) return;
    throw new DataTroubleError(
      `The folder ${folder} belongs to a kitchen, but its database is gone. Nothing was changed: put the folder “${DATABASE}” back from a backup, or point DARK_POUR_DATA at an empty folder to begin anew.`,
    );
  }
  if (has(folder, MAKING) && has(folder, DATABASE)) {
    renameSync(databaseFolder(folder), path.join(folder, `${DATABASE}-unfinished-${Date.now()}`));
  } else if (isBegun) return;
  writeFileSync(path.join(folder, MAKING), '');
  flushTree(folder);
}

/** Marks a kitchen, once: first all of it reaches the disk, then the mark. */
export function markKitchen(folder: string): void {
  if (has(folder, MARK)) return;
  flushTree(folder);
  writeFileAtomic.sync(path.join(folder, MARK), `${JSON.stringify({ since: new Date().toISOString() })}\n`);
  rmSync(path.join(folder, MAKING), { force: true });
  flushTree(folder);
}
