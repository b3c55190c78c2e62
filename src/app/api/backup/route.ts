import { NextResponse } from 'next/server';
import { z } from 'zod';
import { readBackup } from '@/server/backup/kept-backups';
import { compareBackup, takeBackup } from '@/server/backup/kitchen-rows';
import { BackupError, packOffThread, unpackOffThread } from '@/server/backup/pack';
import { restoreKitchen } from '@/server/backup/restore';
import { dataFolder } from '@/server/db/data-folder';
import { knownSchemas, sharedDatabase } from '@/server/db/database';
import type { Watching } from '@/server/heavy/off-thread';
import { lineAnswer } from '@/server/line-answer';
import { answering, RequestError, readJson } from '@/server/read-request';

const LARGEST_REQUEST_BYTES = 40_000_000;
const NOT_KEPT = 'There is no backup of that name.';

/** Everything of the kitchen as one file: as it is now, or one of those that are kept (`?name=dark-pour-2026-11-26.backup`). */
export async function GET(request: Request) {
  return answering(async () => {
    const asked = new URL(request.url).searchParams.get('name');
    const kept = asked === null ? undefined : readBackup(dataFolder(), asked);
    if (asked !== null && !kept) throw new RequestError(404, NOT_KEPT);
    const { db, schemaName } = await sharedDatabase();
    const watching = { signal: request.signal };
    const parts = async () => ({ ...(await takeBackup(db, schemaName, new Date())), photosFrom: dataFolder() });
    const bytes = kept ?? (await packOffThread(await parts(), watching)).bytes;
    const name = asked ?? `dark-pour-${new Date().toISOString().slice(0, 10)}.backup`;
    return new Response(new Uint8Array(bytes), {
      headers: { 'content-type': 'application/gzip', 'content-disposition': `attachment; filename="${name}"` },
    });
  });
}

const restoreSchema = z.object({
  /** a file, base64, or the name of one that is kept */
  from: z.union([z.object({ file: z.base64() }), z.object({ kept: z.string().max(120) })]),
  /** only says what would change */
  preview: z.boolean(),
});

function bytesOf(from: z.output<typeof restoreSchema>['from']): Buffer {
  if ('file' in from) return Buffer.from(from.file, 'base64');
  const kept = readBackup(dataFolder(), from.kept);
  if (!kept) throw new RequestError(404, NOT_KEPT);
  return kept;
}

/** Unpacks a backup, then says what it would change here, or puts it in the place of all there is. */
async function lookOrRestore({ from, preview }: z.output<typeof restoreSchema>, watching: Watching) {
  const open = await sharedDatabase();
  try {
    const read = await unpackOffThread(bytesOf(from), knownSchemas(), watching);
    if (!preview) return await restoreKitchen(dataFolder(), open, read, new Date());
    const { backup, leftOut } = read;
    return { madeAt: backup.madeAt, changes: await compareBackup(open.db, backup), leftOut };
  } catch (error) {
    if (error instanceof BackupError) throw new RequestError(422, error.message);
    throw error;
  }
}

/**
 * Says what a backup would change here, or puts it in the place of all there is; what was there is kept first. A request that ends while it is unpacked ends
 * that. Where it asks for lines, it is told how far that is.
 */
export async function POST(request: Request) {
  return answering(async () => {
    const asked = await readJson(request, restoreSchema, { mostBytes: LARGEST_REQUEST_BYTES });
    const { signal } = request;
    if (request.headers.get('accept') !== 'application/x-ndjson') {
      return NextResponse.json(await lookOrRestore(asked, { signal }));
    }
    return lineAnswer(
      (say) => lookOrRestore(asked, { signal, onProgress: (done) => say({ done }) }),
      'Something went wrong here. Check whether the backup was put back.',
    );
  });
}
