import { createHash } from 'node:crypto';
import type { Backup } from '@/formats/backup-file';
import { keepPhoto, listPhotos, readPhoto } from '../photos/photo-folder';

/** Most of photos that go into one file, bytes: it is read as one text. */
const MOST_BYTES = 200_000_000;

/** A backup with the photos of its data folder in it, as many as fit. */
export function withPhotos(backup: Backup, folder: string): Backup {
  const photos: Record<string, string> = {};
  let bytes = 0;
  for (const hash of listPhotos(folder)) {
    const jpeg = readPhoto(folder, hash);
    if (!jpeg || bytes + jpeg.length > MOST_BYTES) continue;
    bytes += jpeg.length;
    photos[hash] = jpeg.toString('base64');
  }
  return { ...backup, photos };
}

/** Keeps the photos of a backup; one that is not what its name says is left out. */
export function keepPhotosOf({ photos }: Pick<Backup, 'photos'>, folder: string): void {
  for (const [hash, text] of Object.entries(photos)) {
    const jpeg = Buffer.from(text, 'base64');
    if (createHash('sha256').update(jpeg).digest('hex') === hash) keepPhoto(folder, hash, jpeg);
  }
}
