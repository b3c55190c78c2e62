import { proxy } from 'comlink';
import type { FieldMap, MapAxis } from '@/core/balance/field-map';
import type { Formula } from '@/core/formula/formula';
import type { MapDoor } from '@/workers/map.worker';
import { type Thread, threadOf } from '@/workers/thread';

/** A thread that draws maps. */
export type MapThread = Thread<MapDoor>;

type Axes = readonly [MapAxis, MapAxis];

/** Cells of the picture that is there at once. */
export const ROUGH = { columns: 24, rows: 18 };

/** One idle thread, kept from one map to the next. */
let spare: MapThread | undefined;
/** A rough picture that was drawn before it was asked for. */
let ahead: { readonly key: string; readonly map: FieldMap } | undefined;

const start = (): MapThread =>
  threadOf(() => new Worker(new URL('../../../workers/map.worker.ts', import.meta.url), { type: 'module' }));

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

const keyOf = (formula: Formula, axes: Axes) => JSON.stringify([axes, formula]);

/** Draws the rough picture of a formula in the spare thread, so that a map that is opened on it is there at once. */
export async function drawAhead(formula: Formula, axes: Axes): Promise<void> {
  spare ??= start();
  try {
    const nothing = proxy(() => undefined);
    const map = await spare.ask((door) => door.map(formula, axes, ROUGH, nothing));
    if (map) ahead = { key: keyOf(formula, axes), map };
  } catch {
    // It is drawn when it is asked for.
  }
}

/** The rough picture of a formula, where it was drawn ahead. */
export function drawnAhead(formula: Formula, axes: Axes): FieldMap | undefined {
  return ahead?.key === keyOf(formula, axes) ? ahead.map : undefined;
}
