import { z } from 'zod';

/** Largest photo that is sent, bytes: any telephone's is smaller. */
export const LARGEST_PHOTO_BYTES = 40_000_000;
/** Longest side of a photo as it is kept, pixels. */
export const KEPT_PIXELS = 1600;

/** A photo's name: SHA-256 of the picture as it is kept. */
export const photoHashSchema = z.string().regex(/^[0-9a-f]{64}$/, 'is no photo’s name');

/** A photo as it is kept: under its hash, with its size in pixels. */
export const keptPhotoSchema = z.object({
  hash: photoHashSchema,
  width: z.number().int().min(1).max(KEPT_PIXELS),
  height: z.number().int().min(1).max(KEPT_PIXELS),
});
export type KeptPhoto = z.output<typeof keptPhotoSchema>;
