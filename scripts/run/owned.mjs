import { readFileSync } from 'node:fs';
import path from 'node:path';

/** Whether the note of a data folder's owner names a running process. A caution before deleting; the server itself checks closer. */
export function isOwned(folder) {
  try {
    const { pid } = JSON.parse(readFileSync(path.join(folder, 'owner.json'), 'utf8'));
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return error.code === 'EPERM';
  }
}
