import { usualHistory } from '../matter/process';
import { nth } from '../nth';
import { smallestAddition } from '../rescue/smallest-addition';
import { mendingRows, type PourGate, pourGate, resistanceAt } from './as-meant';
import type { HiddenPan } from './hidden-pan';

/** What mends a pan with the fewest grams. */
export interface LeastFix {
  /** place of the row that goes in */
  readonly row: number;
  readonly grams: number;
}

/**
 * Least grams of one row that bring a pan to the nearer edge of what is right.
 *
 * @returns 0 where it is right already; nothing where this row cannot mend it
 */
export function leastOf(pan: HiddenPan, atC: number, { low, high }: PourGate, row: number): number | undefined {
  const before = resistanceAt(pan, atC);
  if (before >= low && before <= high) return 0;
  return smallestAddition(
    {
      components: pan.components,
      process: pan.batch.mixture.process,
      temperatureC: atC,
      history: usualHistory(atC),
      read: ({ flow }) => flow.resistancePa,
      target: before > high ? high : low,
    },
    nth(pan.base.rows, row).perGram,
  );
}

/**
 * The row of a formula that mends its pour with the fewest grams.
 *
 * @returns `right` where nothing has to be mended; nothing where no row mends it
 */
export function leastFix(pan: HiddenPan): LeastFix | 'right' | undefined {
  const gate = pourGate(pan.base);
  const fixes = mendingRows(pan.base).flatMap((row): LeastFix[] => {
    const grams = leastOf(pan, pan.base.pourC, gate, row);
    return grams === undefined ? [] : [{ row, grams }];
  });
  if (fixes.some(({ grams }) => grams === 0)) return 'right';
  return fixes.toSorted((a, b) => a.grams - b.grams)[0];
}
