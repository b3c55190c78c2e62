import { type KeptPhoto, keptPhotoSchema, LARGEST_PHOTO_BYTES } from '@/formats/photo';
import { RefusedError, refusal, untilAnswered } from './ask-server';

const MEGABYTE = 1e6;

/**
 * Sends a photo to be kept.
 *
 * @throws {RefusedError} empty or too large, no photo that can be read, or the server is not reached (status 0)
 */
export async function sendPhoto(file: Blob): Promise<KeptPhoto> {
  if (file.size === 0) throw new RefusedError('This file is empty.', 0);
  if (file.size > LARGEST_PHOTO_BYTES) {
    const most = LARGEST_PHOTO_BYTES / MEGABYTE;
    throw new RefusedError(
      `This photo has ${Math.round(file.size / MEGABYTE)} MB; ${most} MB is the most. Take it smaller, or send a copy of it.`,
      0,
    );
  }
  // Kept under what it shows: the same photo sent twice is one.
  return untilAnswered(() => send(file));
}

async function send(file: Blob): Promise<KeptPhoto> {
  let answer: Response;
  try {
    answer = await fetch('/api/photos', {
      method: 'POST',
      headers: { 'content-type': 'application/octet-stream' },
      body: file,
    });
  } catch {
    throw new RefusedError(
      'The server cannot be reached. It is not known whether the photo was saved: choose it again.',
      0,
    );
  }
  const value: unknown = await answer.json().catch(() => undefined);
  if (!answer.ok) throw refusal(answer.status, value);
  return keptPhotoSchema.parse(value);
}
