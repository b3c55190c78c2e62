import { partOf } from '../matter/component-vector';
import type { ComponentVector } from '../matter/components';

/** A row as it went in: g, and what 1 g of it is made of. */
export interface WeighedRow {
  readonly grams: number;
  readonly perGram: ComponentVector;
}

/** From this share of water on a row counts as added water (J). */
const PLAIN_WATER = 0.99;

/** An ingredient in the order of a label. */
export interface Listed {
  /** g it is ordered by: as used; of added water what is left in the finished product */
  readonly grams: number;
  /** in 100 g of the finished product, by what went in; above 100 where much has boiled off */
  readonly percent: number;
}

/**
 * Ingredients as a label lists them: the same one once, by descending weight as used, ties in the order they stand. Added water alone counts as it is in the
 * finished product: what weighs more there than all else that was used.
 *
 * @param rows each with a name that tells ingredients apart; g of each, 0 or more
 * @param lostG g of water that boiled off, 0 or more and less than went in
 * @returns names in order; the percentage is what went in of it, in 100 g of the finished product
 * @see Regulation (EU) 1169/2011, article 18 and annex VII part A (order), annex VIII (percentage)
 * @example 100 g of water, 105 g of cream and 100 g of chocolate that lost 30 g: cream, chocolate, water (70 g)
 */
export function ingredientOrder(
  rows: readonly (WeighedRow & { readonly name: string })[],
  lostG: number,
): ReadonlyMap<string, Listed> {
  const isAddedWater = ({ perGram }: WeighedRow) => partOf(perGram, 'water') >= PLAIN_WATER;
  const sumOf = (some: readonly WeighedRow[]) => some.reduce((sum, { grams }) => sum + grams, 0);
  const addedG = sumOf(rows.filter(isAddedWater));
  const waterLeft = addedG > 0 ? Math.max(addedG - lostG, 0) / addedG : 0;
  const finishedG = sumOf(rows) - lostG;
  const sums = new Map<string, { grams: number; wentIn: number }>();
  for (const row of rows) {
    if (!(row.grams > 0)) continue;
    const sum = sums.get(row.name) ?? { grams: 0, wentIn: 0 };
    const counts = isAddedWater(row) ? waterLeft * row.grams : row.grams;
    sums.set(row.name, { grams: sum.grams + counts, wentIn: sum.wentIn + row.grams });
  }
  return new Map(
    [...sums]
      .filter(([, { grams }]) => grams > 1e-6)
      .sort(([, a], [, b]) => b.grams - a.grams)
      .map(([name, { grams, wentIn }]) => [name, { grams, percent: (100 * wentIn) / finishedG }]),
  );
}
