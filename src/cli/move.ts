import path from 'node:path';
import { stdout } from 'node:process';
import { parseArgs } from 'node:util';
import { compareBackup, restoreBackup, takeBackup } from '@/server/backup/kitchen-rows';
import { readParts } from '@/server/backup/pack';
import { dataFolder } from '@/server/db/data-folder';
import { openKitchen } from '@/server/db/database';
import { isOnServer, kitchenPlace, shownPlace } from '@/server/db/place';
import { troubleOf } from '@/server/db/trouble-of';
import { mirrorPhotos } from '@/server/photos/photo-folder';
import { countFormulas } from '@/server/repositories/formula-list';

const USAGE = `npm run move -- --to PLACE [--from PLACE] [--replace]
copies a whole kitchen to another place and looks whether all of it has arrived; the old one stays as it is.
PLACE is a folder or postgres://name@host/base; from: DATABASE_URL, DARK_POUR_DATA or .data when left out.
`;

/** Where the photos of a kitchen lie: one on a server has a folder, too. */
const folderOf = (place: string) => (isOnServer(place) ? dataFolder() : place);

/** Moves a kitchen, all or nothing. @throws where there is one already, or not all has arrived */
async function move(from: string, to: string, replace: boolean): Promise<number> {
  const source = await openKitchen(from);
  try {
    const backup = readParts(await takeBackup(source.db, source.schemaName, new Date()));
    const target = await openKitchen(to);
    try {
      const there = await countFormulas(target.db);
      if (there > 0 && !replace) {
        throw new Error(
          `${shownPlace(to)} holds ${there} formulas already: add --replace to put these in their place.`,
        );
      }
      await restoreBackup(target.db, backup);
      const differs = (await compareBackup(target.db, backup)).filter(
        ({ added, changed, removed }) => added + changed + removed > 0,
      );
      if (differs.length > 0) throw new Error(`Not all has arrived: ${differs.map(({ table }) => table).join(', ')}.`);
      mirrorPhotos(folderOf(from), folderOf(to));
      return Object.values(backup.tables).reduce((sum, rows) => sum + rows.length, 0);
    } finally {
      await target.close();
    }
  } finally {
    await source.close();
  }
}

const { values } = parseArgs({
  options: {
    from: { type: 'string' },
    to: { type: 'string' },
    replace: { type: 'boolean', default: false },
  },
});
const placed = (place: string) => (isOnServer(place) ? place : path.resolve(place));
try {
  if (values.to === undefined) {
    process.stderr.write(USAGE);
    process.exitCode = 2;
  } else {
    const [from, to] = [values.from === undefined ? kitchenPlace() : placed(values.from), placed(values.to)];
    if (from === to) throw new Error('That is the same place.');
    const rows = await move(from, to, values.replace);
    const start = isOnServer(to) ? 'DATABASE_URL' : 'DARK_POUR_DATA';
    stdout.write(`${rows} rows are at ${shownPlace(to)}. Start Dark Pour with ${start} set to it.\n`);
  }
} catch (error) {
  process.stderr.write(`${(troubleOf(error) ?? (error as Error)).message}\n`);
  process.exitCode = 1;
}
