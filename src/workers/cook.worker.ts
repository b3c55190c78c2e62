import { expose } from 'comlink';
import { type OffWeight, offWeight } from '@/core/cook/off-weight';
import { type WeighBand, weighBand } from '@/core/cook/weigh-band';
import type { Formula } from '@/core/formula/formula';

const door = {
  /** Within which weights of some rows it does not matter, the others as they are. */
  async bands(formula: Formula, rows: readonly number[]): Promise<readonly (readonly [number, WeighBand])[]> {
    return rows.map((row) => [row, weighBand(formula, row)] as const);
  },

  /** What comes of a row that weighs other than planned, and what makes up for it. */
  async offWeight(
    planned: Formula,
    grams: readonly number[],
    isIn: readonly boolean[],
  ): Promise<OffWeight | undefined> {
    return offWeight(planned, grams, isIn);
  },
};

export type CookDoor = typeof door;

expose(door);
