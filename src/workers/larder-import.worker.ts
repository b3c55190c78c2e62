import { expose } from 'comlink';
import type { Ingredient } from '@/formats/ingredient';
import { decodeCsv, readLarderRows } from '@/formats/larder-csv';
import { type PlannedRow, planImport } from '@/formats/larder-import';

const door = {
  /** Reads a file's bytes and plans its import; tells the share done as it goes. */
  plan(bytes: Uint8Array, existing: readonly Ingredient[], onProgress: (share: number) => void): PlannedRow[] {
    const reading = readLarderRows(decodeCsv(bytes));
    for (;;) {
      const step = reading.next();
      if (step.done) return planImport(step.value, existing);
      onProgress(step.value);
    }
  },
};

export type LarderImportDoor = typeof door;

expose(door);
