import { createHash } from 'node:crypto';
import sharp from 'sharp';
import { KEPT_PIXELS, type KeptPhoto } from '@/formats/photo';

/** What is refused of a photo, in words. */
export class PhotoError extends Error {
  override readonly name = 'PhotoError';
}

/** Most pixels that are opened: a small file may unfold to a picture that fills the memory. */
const MOST_PIXELS = 120_000_000;
const READ: ReadonlySet<string | undefined> = new Set(['jpeg', 'png', 'webp', 'heif']);
const QUALITY = 80;
const SECONDS = 30;

const HEIC = 'A HEIC photo cannot be read here. Let the camera save JPEG, or share the photo as JPEG.';
const UNREADABLE = 'This is no photo that can be read: JPEG, PNG and WebP can.';

/** What kind of picture it is by its first bytes; by its name nothing is believed. */
async function formatOf(bytes: Buffer): Promise<string | undefined> {
  const options = { limitInputPixels: MOST_PIXELS };
  const { format, width, height } = await sharp(bytes, options).metadata();
  if (width * height > MOST_PIXELS) throw new PhotoError('This picture has too many pixels; 100 million are enough.');
  return format;
}

/**
 * A photo as it is kept: turned upright, no side over 1600 pixels, JPEG, and nothing in it but the picture. When and where it was taken and with what
 * camera does not stay.
 *
 * @throws {PhotoError} no JPEG, PNG or WebP (HEIC where it cannot be read), or far too large a picture
 */
export async function develop(bytes: Buffer): Promise<KeptPhoto & { readonly jpeg: Buffer }> {
  // Drawings may reach for other files; they are not opened at all.
  if (/^\s*(<\?xml|<!--|<!doctype|<svg)/i.test(bytes.subarray(0, 400).toString('latin1').replace(/^ï»¿/, ''))) {
    throw new PhotoError('A drawing in SVG is no photo. JPEG, PNG and WebP can be read.');
  }
  let format: string | undefined;
  try {
    format = await formatOf(bytes);
  } catch (error) {
    throw error instanceof PhotoError ? error : new PhotoError(isHeic(bytes) ? HEIC : UNREADABLE);
  }
  if (!READ.has(format)) throw new PhotoError(UNREADABLE);
  try {
    const { data, info } = await sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' })
      .timeout({ seconds: SECONDS })
      .autoOrient()
      .resize({ width: KEPT_PIXELS, height: KEPT_PIXELS, fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .jpeg({ quality: QUALITY })
      .toBuffer({ resolveWithObject: true });
    const hash = createHash('sha256').update(data).digest('hex');
    return { jpeg: data, hash, width: info.width, height: info.height };
  } catch {
    throw new PhotoError(format === 'heif' ? HEIC : 'This photo is not whole: it ends or breaks within.');
  }
}

/** Telephones' own kind of photo, told by the brand in its first box. */
const isHeic = (bytes: Buffer) => /^ftyp(hei[cmsx]|hev[cmsx]|mif1|msf1)/.test(bytes.subarray(4, 12).toString('latin1'));
