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

/** Water activities above which it keeps noticeably less long. */
const BANDS = [0.8, 0.85, 0.9, 0.93] as const;

/** Which of the bands of keeping a water activity lies in: 0 keeps months, 4 days. */
export const keepingBand = (waterActivity: number): number => BANDS.filter((edge) => waterActivity > edge).length;
