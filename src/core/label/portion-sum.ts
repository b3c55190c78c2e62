/** A row of a pan with what 100 g of it hold of something; null where nobody has said. */
export interface HeldRow {
  readonly name: string;
  readonly grams: number;
  readonly in100: number | null;
}

/** What a portion holds, or the rows of which nobody has said. */
export type PortionSum = { readonly amount: number } | { readonly unknown: readonly string[] };

/**
 * What a portion holds of something that cooking does not change: the sum over the rows, spread over what is left of them.
 *
 * @param rows g of each, 0 or more; in100 in any unit
 * @param finishedG g of the finished batch, above 0
 * @param portionG g, above 0
 * @returns in the unit of `in100`; or each row above 0 g of which it is not known, once
 */
export function portionSum(rows: readonly HeldRow[], finishedG: number, portionG: number): PortionSum {
  const held = rows.filter(({ grams }) => grams > 0);
  const unknown = held.filter(({ in100 }) => in100 === null).map(({ name }) => name);
  if (unknown.length > 0) return { unknown: [...new Set(unknown)] };
  return {
    amount: (held.reduce((sum, { grams, in100 }) => sum + (grams * (in100 ?? 0)) / 100, 0) * portionG) / finishedG,
  };
}
