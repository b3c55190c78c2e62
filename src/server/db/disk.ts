import { accessSync, constants, existsSync, statfsSync } from 'node:fs';

/** Something with the disk or the database that a cook must know; nothing was changed. */
export class DataTroubleError extends Error {
  override readonly name = 'DataTroubleError';
}

/** A write-ahead segment and room for what is written beside it. */
const LEAST_FREE_BYTES = 64 * 2 ** 20;

/**
 * Whether the disk can take a save: looked at before each, since the database itself stands still when it runs out in the middle of one.
 *
 * @param folder where the data lives
 * @returns why not, in a cook's words
 */
export function diskTrouble(folder: string): string | undefined {
  if (!existsSync(folder)) {
    return `The data folder ${folder} is gone: nothing can be saved. Put it back and start Dark Pour again; what is typed stays on the tablet.`;
  }
  try {
    accessSync(folder, constants.W_OK);
  } catch {
    return 'The disk can only be read: nothing can be saved. What is typed stays on the tablet; earlier saves are untouched.';
  }
  const { bavail, bsize } = statfsSync(folder);
  if (bavail * bsize >= LEAST_FREE_BYTES) return undefined;
  return 'The disk is full: nothing can be saved until there is room again. What is typed stays on the tablet; earlier saves are untouched.';
}

/** @throws {DataTroubleError} when the disk cannot take a save */
export function assertTakesSaves(folder: string): void {
  const trouble = diskTrouble(folder);
  if (trouble) throw new DataTroubleError(trouble);
}
