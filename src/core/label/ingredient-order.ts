import { partOf } from '../matter/component-vector';
import type { ComponentVector } from '../matter/components';

/** A row as it went in: g, and what 1 g of it is made of. */
export interface WeighedRow {
  readonly grams: number;
  readonly perGram: ComponentVector;
}

/** From this share of water on a row counts as added water: it gives what boils off first (J). */
const PLAIN_WATER = 0.99;

/**
 * What is left of each row once water has boiled off: added water goes first, then the rows in proportion to the water in them.
 *
 * @param rows g of each, 0 or more
 * @param lostG g of water that boiled off, 0 or more; more than there is takes all of it
 * @returns g of each row in the finished batch
 * @example afterBoiling([{ grams: 100, perGram: water }, { grams: 200, perGram: cream }], 120) // 0 g, and 180 g
 */
export function afterBoiling(rows: readonly WeighedRow[], lostG: number): number[] {
  const waterOf = ({ grams, perGram }: WeighedRow) => grams * partOf(perGram, 'water');
  const isPlain = ({ perGram }: WeighedRow) => partOf(perGram, 'water') >= PLAIN_WATER;
  const share = (wanted: number, of: (row: WeighedRow) => boolean) => {
    const there = rows.reduce((sum, row) => sum + (of(row) ? waterOf(row) : 0), 0);
    return there > 0 ? Math.min(wanted / there, 1) : 0;
  };
  const plain = share(lostG, isPlain);
  const gone = rows.reduce((sum, row) => sum + (isPlain(row) ? plain * waterOf(row) : 0), 0);
  const rest = share(lostG - gone, (row) => !isPlain(row));
  return rows.map((row) => row.grams - waterOf(row) * (isPlain(row) ? plain : rest));
}

/** An ingredient in the order of a label. */
export interface Listed {
  /** g of the finished product */
  readonly grams: number;
  /** in 100 g of the finished product, by what went in; above 100 where much has boiled off */
  readonly percent: number;
}

/**
 * Ingredients as a label lists them: the same one once, by descending weight after boiling, ties in the order they stand.
 *
 * @param rows each with a name that tells ingredients apart
 * @returns names in order; the percentage is what went in of it, in 100 g of the finished product (Regulation (EU) 1169/2011, annex VIII)
 */
export function ingredientOrder(
  rows: readonly (WeighedRow & { readonly name: string })[],
  lostG: number,
): ReadonlyMap<string, Listed> {
  const left = afterBoiling(rows, lostG);
  const finishedG = left.reduce((sum, grams) => sum + grams, 0);
  const sums = new Map<string, { grams: number; wentIn: number }>();
  for (const [i, { name, grams }] of rows.entries()) {
    if (!(grams > 0)) continue;
    const sum = sums.get(name) ?? { grams: 0, wentIn: 0 };
    sums.set(name, { grams: sum.grams + (left[i] ?? 0), wentIn: sum.wentIn + grams });
  }
  return new Map(
    [...sums]
      .filter(([, { grams }]) => grams > 1e-6)
      .sort(([, a], [, b]) => b.grams - a.grams)
      .map(([name, { grams, wentIn }]) => [name, { grams, percent: (100 * wentIn) / finishedG }]),
  );
}
