import { type Remote, wrap } from 'comlink';
import type { MapDoor } from '@/workers/map.worker';

/** A thread that draws maps, and its door. */
export interface MapThread {
  readonly thread: Worker;
  readonly door: Remote<MapDoor>;
}

/** One idle thread, kept from one map to the next. */
let spare: MapThread | undefined;

function start(): MapThread {
  const thread = new Worker(new URL('../../workers/map.worker.ts', import.meta.url), { type: 'module' });
  return { thread, door: wrap<MapDoor>(thread) };
}

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
  if (spare) thread.thread.terminate();
  else spare = thread;
}
