import { expose } from 'comlink';
import { type FieldMap, type MapAxis, mapField } from '@/core/balance/field-map';
import type { Formula } from '@/core/formula/formula';

/** The newest question; older ones are left off. */
let newest = 0;

const breathe = () => new Promise((resolve) => setTimeout(resolve, 0));
/** Rows between two looks for a newer question. */
const ROWS_A_BREATH = 12;

const door = {
  /** Works a field out; nothing when a newer question came meanwhile. */
  async map(
    formula: Formula,
    axes: readonly [MapAxis, MapAxis],
    size: { readonly columns: number; readonly rows: number },
    onProgress: (share: number) => void,
  ): Promise<FieldMap | undefined> {
    newest += 1;
    const mine = newest;
    const drawing = mapField(formula, axes, size);
    for (let row = 1; ; row++) {
      const step = drawing.next();
      if (step.done) return step.value;
      if (row % ROWS_A_BREATH !== 0) continue;
      onProgress(step.value);
      await breathe();
      if (mine !== newest) return undefined;
    }
  },
};

export type MapDoor = typeof door;

expose(door);
