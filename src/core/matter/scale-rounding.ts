/**
 * Grams as they are weighed: to 0.1 g, and below 1 g to three figures, so that a pinch is never rounded away.
 *
 * @param grams 0 or more
 * @returns g; 0 only for 0
 * @example roundToScale(0.04) // 0.04
 */
export function roundToScale(grams: number): number {
  if (Math.abs(grams) >= 1) return Math.round(grams * 10) / 10;
  return grams === 0 ? 0 : Number(grams.toPrecision(3));
}
