import { mkdirSync, mkdtempSync, readFileSync, rmSync, symlinkSync, utimesSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import sharp from 'sharp';
import { afterEach, beforeEach, expect, test } from 'vitest';
import { takeBackup } from '@/server/backup/kitchen-rows';
import { packParts, unpackBackup } from '@/server/backup/pack';
import { keepPhotosOf } from '@/server/backup/photos-in-backup';
import { knownSchemas, openMemoryDatabase } from '@/server/db/database';
import { develop, PhotoError } from '@/server/photos/develop';
import { dropPhotos, keepPhoto, listPhotos, mirrorPhotos, readPhoto } from '@/server/photos/photo-folder';

/** A picture that is brown on its left half and cream on its right. */
async function picture(width: number, height: number) {
  const right = { input: { create: { width: width / 2, height, channels: 3 as const, background: '#f3e9d6' } } };
  const left = { create: { width, height, channels: 3 as const, background: '#4a2a18' } };
  return sharp(left).composite([{ ...right, left: width / 2, top: 0 }]);
}

const folders: string[] = [];
const newFolder = () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'dark-pour-photos-'));
  folders.push(folder);
  return folder;
};
let folder: string;
beforeEach(() => {
  folder = newFolder();
});
afterEach(() => {
  for (const each of folders.splice(0)) rmSync(each, { recursive: true, force: true });
});

test('a photo is made smaller, turned upright, and nothing but the picture stays in it', async () => {
  const taken = await (await picture(4000, 2000))
    .withExif({ IFD0: { Make: 'Weir', Model: 'Lamp 3' }, IFD3: { GPSLatitude: '51/1 30/1 0/1', GPSLatitudeRef: 'N' } })
    .withMetadata({ orientation: 6 })
    .jpeg()
    .toBuffer();
  expect((await sharp(taken).metadata()).exif?.toString('latin1')).toContain('Weir');
  const { jpeg, hash, width, height } = await develop(taken);
  expect([width, height]).toEqual([800, 1600]);
  const kept = await sharp(jpeg).metadata();
  expect(kept).toMatchObject({ format: 'jpeg', width: 800, height: 1600 });
  expect([kept.exif, kept.iptc, kept.xmp, kept.orientation]).toEqual([undefined, undefined, undefined, undefined]);
  expect(jpeg.toString('latin1')).not.toContain('Weir');
  // Turned by 90°, left is above.
  const { data } = await sharp(jpeg).raw().toBuffer({ resolveWithObject: true });
  expect(data[0]).toBeLessThan(120);
  expect(data.at(-1)).toBeGreaterThan(150);
  expect((await develop(taken)).hash).toBe(hash);
});

test('PNG and WebP are photos, too; a small one is not blown up, what is clear is white', async () => {
  const clear = sharp({ create: { width: 30, height: 20, channels: 4, background: { r: 0, g: 0, b: 0, alpha: 0 } } });
  for (const bytes of [await clear.clone().png().toBuffer(), await clear.clone().webp().toBuffer()]) {
    const { jpeg, width, height } = await develop(bytes);
    expect([width, height]).toEqual([30, 20]);
    expect((await sharp(jpeg).stats()).channels[0]?.mean).toBeGreaterThan(250);
  }
});

test.each([
  ['text', Buffer.from('200 g of cream, boiled'), 'no photo that can be read'],
  ['a drawing', Buffer.from('<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg"/>'), 'SVG'],
  ['a drawing after a mark and blanks', Buffer.from('\ufeff  <svg width="9"><image href="/etc/passwd"/></svg>'), 'SVG'],
  ['a telephone’s HEIC', Buffer.from('\0\0\0\x18ftypheic\0\0\0\0mif1heic', 'latin1'), 'HEIC'],
  ['a GIF', Buffer.from('R0lGODlhAQABAIAAAAAAAP///yH5BAEAAAAALAAAAAABAAEAAAIBRAA7', 'base64'), 'JPEG, PNG and WebP'],
])('%s is refused with a word', async (_, bytes, word) => {
  await expect(develop(bytes)).rejects.toThrow(PhotoError);
  await expect(develop(bytes)).rejects.toThrow(word);
});

test('a photo that breaks off, and one that unfolds beyond all size, are refused', async () => {
  const whole = await (await picture(600, 400)).jpeg().toBuffer();
  await expect(develop(whole.subarray(0, whole.length / 2))).rejects.toThrow('not whole');
  const bomb = await sharp({ create: { width: 16000, height: 8000, channels: 3, background: '#000' } })
    .png()
    .toBuffer();
  expect(bomb.length).toBeLessThan(1e6);
  await expect(develop(bomb)).rejects.toThrow(PhotoError);
});

test('kept under its hash once, read by it, and by nothing that leads elsewhere', async () => {
  const { jpeg, hash } = await develop(await (await picture(60, 40)).png().toBuffer());
  keepPhoto(folder, hash, jpeg);
  keepPhoto(folder, hash, jpeg);
  expect(listPhotos(folder)).toEqual([hash]);
  expect(readPhoto(folder, hash)?.equals(jpeg)).toBe(true);
  for (const other of ['0'.repeat(64), '../token', `${hash}.jpg`, '']) expect(readPhoto(folder, other)).toBeUndefined();
  // Nothing that points elsewhere is followed, to read or to write.
  const own = newFolder();
  const outside = path.join(newFolder(), 'secret');
  writeFileSync(outside, 'a secret');
  const room = path.join(own, 'photos', hash.slice(0, 2));
  mkdirSync(room, { recursive: true });
  symlinkSync(outside, path.join(room, `${hash}.jpg`));
  expect(readPhoto(own, hash)).toBeUndefined();
  keepPhoto(own, hash, jpeg);
  expect(readFileSync(outside, 'utf8')).toBe('a secret');
  expect(readPhoto(own, hash)?.equals(jpeg)).toBe(true);
  rmSync(room, { recursive: true });
  symlinkSync(path.dirname(outside), room);
  expect(() => keepPhoto(own, hash, jpeg)).toThrow('points elsewhere');
});

test('the backups have a copy; what no batch shows goes, unless it came lately', async () => {
  const [first, second] = await Promise.all(
    [40, 80].map(async (width) => develop(await (await picture(width, 40)).png().toBuffer())),
  );
  if (!first || !second) throw new Error('two photos');
  for (const { hash, jpeg } of [first, second]) keepPhoto(folder, hash, jpeg);
  const beside = newFolder();
  mirrorPhotos(folder, beside);
  mirrorPhotos(folder, beside);
  expect(listPhotos(beside).sort()).toEqual(listPhotos(folder).sort());
  const old = new Date(Date.now() - 40 * 86_400_000);
  utimesSync(path.join(folder, 'photos', first.hash.slice(0, 2), `${first.hash}.jpg`), old, old);
  const before = new Date(Date.now() - 30 * 86_400_000);
  dropPhotos(folder, new Set([first.hash]), before);
  expect(listPhotos(folder)).toHaveLength(2);
  dropPhotos(folder, new Set(), before);
  expect(listPhotos(folder)).toEqual([second.hash]);
});

test('a backup takes the photos along and keeps only those that are what their names say', async () => {
  const [one, two] = await Promise.all(
    [50, 70].map(async (width) => develop(await (await picture(width, 30)).png().toBuffer())),
  );
  if (!one || !two) throw new Error('two photos');
  for (const { hash, jpeg } of [one, two]) keepPhoto(folder, hash, jpeg);
  const { db, schemaName, close } = await openMemoryDatabase();
  const parts = { ...(await takeBackup(db, schemaName, new Date())), photosFrom: folder };
  const backup = await unpackBackup((await packParts(parts)).bytes, knownSchemas());
  await close();
  const other = newFolder();
  const photos = { ...backup.photos, [two.hash]: Buffer.from('another picture').toString('base64') };
  keepPhotosOf({ photos }, other);
  expect(listPhotos(other)).toEqual([one.hash]);
  keepPhotosOf(backup, other);
  expect(listPhotos(other).sort()).toEqual([one.hash, two.hash].sort());
  expect(readPhoto(other, two.hash)?.equals(two.jpeg)).toBe(true);
});
