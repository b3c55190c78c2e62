import type { Pixels } from '@/core/photo/pixels';
import { LARGEST_PHOTO_BYTES } from '@/formats/photo';

/** A photo as it is read: upright, with the focal length it tells. */
export interface DecodedPhoto {
  readonly pixels: Pixels;
  /** mm as on small film; nothing where it does not say */
  readonly focalMm: number | undefined;
  /** of the picture, for the page */
  readonly url: string;
}

/** Longest side it is read with, px. */
const LONGEST = 1600;
/** A picture so much longer than wide is a panorama: its lines are bent. */
const PANORAMA = 2.4;

/** A photo that cannot be read, in words. */
class UnreadablePhotoError extends Error {
  override name = 'UnreadablePhotoError';
}

async function focalOf(file: Blob): Promise<number | undefined> {
  try {
    const { parse } = await import('exifr');
    const told: unknown = (await parse(file, ['FocalLengthIn35mmFormat']))?.FocalLengthIn35mmFormat;
    return typeof told === 'number' && told >= 8 && told <= 400 ? told : undefined;
  } catch {
    return undefined;
  }
}

/** A picture made of pixels, for the page. */
export function urlOf({ width, height, data }: Pixels): string {
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [width, height];
  canvas.getContext('2d')?.putImageData(new ImageData(new Uint8ClampedArray(data), width, height), 0, 0);
  return canvas.toDataURL('image/jpeg', 0.9);
}

/**
 * Decodes a photo with what the browser has.
 *
 * @throws {UnreadablePhotoError} it is no picture this browser opens, or no photo of a plate by its form
 */
export async function decodePhoto(file: File): Promise<DecodedPhoto> {
  if (file.size === 0) throw new UnreadablePhotoError('This file is empty.');
  if (file.size > LARGEST_PHOTO_BYTES) throw new UnreadablePhotoError('This photo is too large: 40 MB is the most.');
  if (file.type.startsWith('video/')) throw new UnreadablePhotoError('This is a video. Take a photo instead.');
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => {
    throw new UnreadablePhotoError(
      /hei[cf]/i.test(`${file.type} ${file.name}`)
        ? 'This browser cannot open HEIC pictures. Save it as JPEG, or take it here.'
        : 'This file cannot be opened as a picture. Use JPEG or PNG.',
    );
  });
  const long = Math.max(bitmap.width, bitmap.height);
  if (long > PANORAMA * Math.min(bitmap.width, bitmap.height)) {
    bitmap.close();
    throw new UnreadablePhotoError('This is a panorama: its lines are bent. Take a plain photo.');
  }
  const scale = Math.min(1, LONGEST / long);
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [Math.round(bitmap.width * scale), Math.round(bitmap.height * scale)];
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) throw new UnreadablePhotoError('This browser has no room for the picture now. Try again.');
  context.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  const { width, height, data } = context.getImageData(0, 0, canvas.width, canvas.height);
  return { pixels: { width, height, data }, focalMm: await focalOf(file), url: canvas.toDataURL('image/jpeg', 0.9) };
}
