import { closeSync, fsyncSync, openSync, readdirSync } from 'node:fs';
import path from 'node:path';

/** Flushes one file or folder to the disk. */
export function flush(place: string): void {
  const fd = openSync(place, 'r');
  try {
    fsyncSync(fd);
  } finally {
    closeSync(fd);
  }
}

/** Flushes every file and folder below a folder, and the folder itself, to the disk. */
export function flushTree(folder: string): void {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const place = path.join(folder, entry.name);
    if (entry.isDirectory()) flushTree(place);
    else if (entry.isFile()) flush(place);
  }
  flush(folder);
}
