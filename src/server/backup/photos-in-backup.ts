import { createHash } from 'node:crypto';
import type { Backup } from '@/formats/backup-file';
import { keepPhoto, listPhotos, readPhoto } from '../photos/photo-folder';

/** Most of photos that go into one file, bytes: it is read as one text. */
const MOST_BYTES = 200_000_000;

/** The photos of a data folder by their names, base64, as many as fit into one file. */
export function* photosOf(folder: string): Generator<readonly [hash: string, base64: string]> {
  let bytes = 0;
  for (const hash of listPhotos(folder)) {
    const jpeg = readPhoto(folder, hash);
    if (!jpeg || bytes + jpeg.length > MOST_BYTES) continue;
    bytes += jpeg.length;
    yield [hash, jpeg.toString('base64')];
  }
}

/** Keeps the photos of a backup; one that is not what its name says is left out. */
export function keepPhotosOf({ photos }: Pick<Backup, 'photos'>, folder: string): void {
  for (const [hash, text] of Object.entries(photos)) {
    const jpeg = Buffer.from(text, 'base64');
    if (createHash('sha256').update(jpeg).digest('hex') === hash) keepPhoto(folder, hash, jpeg);
  }
}
