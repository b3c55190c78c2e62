import { existsSync, readdirSync, readFileSync, rmSync, statSync } from 'node:fs';
import path from 'node:path';
import writeFileAtomic from 'write-file-atomic';
import { DataTroubleError } from './disk';
import { flush } from './flush-tree';
import { databaseFolder } from './kitchen-mark';

const SIZES = 'sizes.json';
/** Files of tables and indexes, by their numbers: while the database lives they grow and never shrink. */
const TABLE = /^\d+(\.\d+)?$/;

/** Sizes of all files of tables, bytes, by their paths in the database's folder. */
function sizesOf(database: string): Record<string, number> {
  const sizes: Record<string, number> = {};
  for (const part of ['global', 'base']) {
    const within = path.join(/* turbopackIgnore: true */ database, part);
    for (const name of readdirSync(within, { recursive: true, encoding: 'utf8' })) {
      const found = statSync(path.join(/* turbopackIgnore: true */ within, name));
      if (TABLE.test(path.basename(name)) && found.isFile()) sizes[`${part}/${name}`] = found.size;
    }
  }
  return sizes;
}

/** Notes how large the files are: called when all of them are on the disk. */
export function noteSizes(folder: string): void {
  writeFileAtomic.sync(path.join(folder, SIZES), JSON.stringify(sizesOf(databaseFolder(folder))));
}

/**
 * Looks whether a file has become shorter than it was when the kitchen was last closed: the database takes what is missing at its end for rows that
 * never were. The note goes with the look, since an open database may put a table into another file and leave the old one empty.
 *
 * @returns whether there was a note to look by
 * @throws {DataTroubleError} with the file
 */
export function expectSizes(folder: string): boolean {
  const note = path.join(folder, SIZES);
  if (!existsSync(/* turbopackIgnore: true */ note)) return false;
  let noted: Record<string, number>;
  try {
    noted = JSON.parse(readFileSync(/* turbopackIgnore: true */ note, 'utf8'));
  } catch {
    return false;
  }
  for (const [file, bytes] of Object.entries(noted)) {
    const place = path.join(databaseFolder(folder), file);
    // What a change of the schema rewrote has another number; what is missing the database notices by itself.
    if (!existsSync(/* turbopackIgnore: true */ place) || statSync(/* turbopackIgnore: true */ place).size >= bytes)
      continue;
    throw new DataTroubleError(
      `The file ${place} has become shorter than it was: part of what is kept is missing. Nothing was changed: put a backup into an empty folder (npm run restore), or delete ${note} to open what is left.`,
    );
  }
  rmSync(/* turbopackIgnore: true */ note);
  flush(folder);
  return true;
}
