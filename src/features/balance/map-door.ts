import type { MapDoor } from '@/workers/map.worker';
import { type Thread, threadOf } from '@/workers/thread';

/** A thread that draws maps. */
export type MapThread = Thread<MapDoor>;

/** One idle thread, kept from one map to the next. */
let spare: MapThread | undefined;

const start = (): MapThread =>
  threadOf(() => new Worker(new URL('../../workers/map.worker.ts', import.meta.url), { type: 'module' }));

/** Starts a thread before the first map is asked for; nothing when one is there already. */
export function readyMapThread(): MapThread | undefined {
  if (spare) return undefined;
  spare = start();
  return spare;
}

/** The spare thread, or a new one. */
export function takeMapThread(): MapThread {
  const taken = spare ?? start();
  spare = undefined;
  return taken;
}

/** Keeps a thread for the next map; a question it still works on is left off when the next one comes. */
export function keepMapThread(thread: MapThread): void {
  if (spare) thread.close();
  else spare = thread;
}
