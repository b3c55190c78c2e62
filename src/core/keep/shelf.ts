/** Days of keeping as an index of growth pressure. Judgement; not a food-safety statement, never a use-by date. */
export interface ShelfIndex {
  readonly fridgeDays: number;
  readonly roomDays: number;
}

/**
 * Keeping index from water activity and the alcohol of the serum.
 *
 * @param waterActivity 0-1
 * @param serumAlcoholPercentVol % vol of the serum, 0 or more
 * @returns days, at most 180 each
 */
export function shelfIndex(waterActivity: number, serumAlcoholPercentVol: number): ShelfIndex {
  return {
    fridgeDays: 1 / (Math.exp(-17 * (0.97 - waterActivity) - 0.08 * serumAlcoholPercentVol) / 5 + 1 / 180),
    roomDays: 1 / (Math.exp(-22 * (0.95 - waterActivity) - 0.08 * serumAlcoholPercentVol) / 1.5 + 1 / 180),
  };
}

/**
 * Guidance for keeping in a cook's words, from water activity alone. Hygiene, hot filling and acidity are outside it; the local food
 * code decides.
 *
 * @param waterActivity 0-1
 * @example keepingWords(0.92) // 'fridge, about a week'
 */
export function keepingWords(waterActivity: number): string {
  if (waterActivity > 0.93) return 'treat like fresh cream: fridge, days';
  if (waterActivity > 0.9) return 'fridge, about a week';
  if (waterActivity > 0.85) return 'fridge, two to four weeks if clean';
  if (waterActivity > 0.8) return 'cool room, weeks; yeasts and moulds remain';
  return 'months';
}
