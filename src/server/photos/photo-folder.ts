import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, statSync } from 'node:fs';
import path from 'node:path';
import writeFileAtomic from 'write-file-atomic';
import { photoHashSchema } from '@/formats/photo';
import { flush } from '../db/flush-tree';

/** Where the photos of a data folder lie, in folders by the first two letters of their names. */
const photosOf = (folder: string) => path.join(folder, 'photos');
const placeOf = (folder: string, hash: string) => path.join(photosOf(folder), hash.slice(0, 2), `${hash}.jpg`);

/** Keeps a photo under its hash; it is on the disk when this is over. One that is there already is the same one. */
export function keepPhoto(folder: string, hash: string, jpeg: Buffer): void {
  const place = placeOf(folder, hash);
  if (existsSync(place)) return;
  const room = path.dirname(place);
  mkdirSync(room, { recursive: true, mode: 0o700 });
  writeFileAtomic.sync(place, jpeg, { mode: 0o600 });
  for (const each of [room, photosOf(folder), folder]) flush(each);
}

/** A photo; nothing where there is none of that name. */
export function readPhoto(folder: string, hash: string): Buffer | undefined {
  if (!photoHashSchema.safeParse(hash).success) return undefined;
  const place = placeOf(folder, hash);
  return existsSync(place) ? readFileSync(place) : undefined;
}

/** Names of all photos that lie there. */
export function listPhotos(folder: string): string[] {
  const place = photosOf(folder);
  if (!existsSync(place)) return [];
  return readdirSync(place, { recursive: true, encoding: 'utf8' }).flatMap((name) => {
    const hash = path.basename(name, '.jpg');
    return name.endsWith('.jpg') && photoHashSchema.safeParse(hash).success ? [hash] : [];
  });
}

/** Copies to a second folder what it does not have yet. */
export function mirrorPhotos(folder: string, second: string): void {
  const there = new Set(listPhotos(second));
  for (const hash of listPhotos(folder)) {
    if (!there.has(hash)) keepPhoto(second, hash, readFileSync(placeOf(folder, hash)));
  }
}

/** Lets go of photos that no batch shows any more, unless they came only lately: a tablet may still be about to tell of them. */
export function dropPhotos(folder: string, shown: ReadonlySet<string>, before: Date): void {
  for (const hash of listPhotos(folder)) {
    const place = placeOf(folder, hash);
    if (!shown.has(hash) && statSync(place).mtimeMs < before.getTime()) rmSync(place);
  }
}
