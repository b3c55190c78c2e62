import { existsSync, lstatSync, mkdirSync, readdirSync, readFileSync, realpathSync, rmSync } from 'node:fs';
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
  if (isThere(folder, place)) return;
  const room = path.dirname(place);
  mkdirSync(room, { recursive: true, mode: 0o700 });
  if (!isThere(folder, room)) throw new Error(`${room} points elsewhere: nothing is written there.`);
  rmSync(place, { force: true });
  writeFileAtomic.sync(place, jpeg, { mode: 0o600 });
  for (const each of [room, photosOf(folder), folder]) flush(each);
}

/** Whether a photo, or the folder it lies in, stands where it seems to: what points elsewhere is not followed. */
function isThere(folder: string, place: string): boolean {
  if (!existsSync(place)) return false;
  return realpathSync(place) === path.join(realpathSync(folder), path.relative(folder, place));
}

/** A photo; nothing where there is none of that name. */
export function readPhoto(folder: string, hash: string): Buffer | undefined {
  if (!photoHashSchema.safeParse(hash).success) return undefined;
  const place = placeOf(folder, hash);
  return isThere(folder, place) ? readFileSync(place) : undefined;
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
    const jpeg = there.has(hash) ? undefined : readPhoto(folder, hash);
    if (jpeg) keepPhoto(second, hash, jpeg);
  }
}

/** Lets go of photos that no batch shows any more, unless they came only lately: a tablet may still be about to tell of them. */
export function dropPhotos(folder: string, shown: ReadonlySet<string>, before: Date): void {
  for (const hash of listPhotos(folder)) {
    const place = placeOf(folder, hash);
    if (!shown.has(hash) && lstatSync(place).mtimeMs < before.getTime()) rmSync(place);
  }
}
