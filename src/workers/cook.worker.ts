import { expose } from 'comlink';
import { balance } from '@/core/balance/balance';
import { type WeighBand, weighBand } from '@/core/cook/weigh-band';
import type { Formula } from '@/core/formula/formula';

const door = {
  /** Within which weights of some rows it does not matter. */
  async bands(formula: Formula, rows: readonly number[]): Promise<readonly (readonly [number, WeighBand])[]> {
    return rows.map((row) => [row, weighBand(formula, row)] as const);
  },

  /**
   * Grams of every row that land with what is already in: those rows stay, the others move, the batch may grow.
   *
   * @returns nothing where they do not land
   */
  async compensate(formula: Formula, isIn: readonly boolean[]): Promise<readonly number[] | undefined> {
    const lines = formula.lines.map((line, row) => ({ ...line, locked: line.locked || isIn[row] === true }));
    if (lines.every(({ locked }) => locked)) return undefined;
    const { status, grams } = balance({ ...formula, lines }, { explain: false, freeTotal: true });
    return status === 'lands' ? grams : undefined;
  },
};

export type CookDoor = typeof door;

expose(door);
