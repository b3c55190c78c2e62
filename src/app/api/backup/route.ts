import { NextResponse } from 'next/server';
import { z } from 'zod';
import { backupsFolder, keepBackup, readKept } from '@/server/backup/kept-backups';
import { compareBackup, restoreBackup, takeBackup } from '@/server/backup/kitchen-rows';
import { BackupError, packBackup, unpackBackup } from '@/server/backup/pack';
import { keepPhotosOf, withPhotos } from '@/server/backup/photos-in-backup';
import { dataFolder } from '@/server/db/data-folder';
import { knownSchemas, sharedDatabase } from '@/server/db/database';
import { mirrorPhotos } from '@/server/photos/photo-folder';
import { answering, RequestError, readJson } from '@/server/read-request';
import { refreshTests } from '@/server/repositories/kitchen-tests';

const LARGEST_REQUEST_BYTES = 40_000_000;

const today = () => new Date().toISOString().slice(0, 10);

/** Everything of the kitchen as one file: as it is now, or as it was on a day (`?day=2026-11-26`). */
export async function GET(request: Request) {
  return answering(async () => {
    const asked = new URL(request.url).searchParams.get('day');
    const kept = asked === null ? undefined : readKept(dataFolder(), asked);
    if (asked !== null && !kept) throw new RequestError(404, 'There is no backup of that day.');
    const { db, schemaName } = await sharedDatabase();
    const bytes = kept ?? (await packBackup(withPhotos(await takeBackup(db, schemaName, new Date()), dataFolder())));
    return new Response(new Uint8Array(bytes), {
      headers: {
        'content-type': 'application/gzip',
        'content-disposition': `attachment; filename="dark-pour-${asked ?? today()}.backup"`,
      },
    });
  });
}

const restoreSchema = z.object({
  /** the file, base64 */
  backup: z.base64(),
  /** only says what would change */
  preview: z.boolean(),
});

/** Says what a backup would change here, or puts it in the place of all there is; what was there becomes today's backup first. */
export async function POST(request: Request) {
  return answering(async () => {
    const { backup: text, preview } = await readJson(request, restoreSchema, LARGEST_REQUEST_BYTES);
    const { db, schemaName } = await sharedDatabase();
    try {
      const backup = await unpackBackup(Buffer.from(text, 'base64'), knownSchemas());
      if (preview) return NextResponse.json({ madeAt: backup.madeAt, changes: await compareBackup(db, backup) });
      keepBackup(dataFolder(), today(), await packBackup(await takeBackup(db, schemaName, new Date())));
      await restoreBackup(db, backup);
      await refreshTests(db);
      keepPhotosOf(backup, dataFolder());
      mirrorPhotos(backupsFolder(dataFolder()), dataFolder());
      return NextResponse.json({ restored: true });
    } catch (error) {
      if (error instanceof BackupError) throw new RequestError(422, error.message);
      throw error;
    }
  });
}
