import { sigmoid } from '../smooth';

/**
 * Share of the starch that gelatinises at a temperature, held there as long as it takes.
 *
 * @param sugar g of sugars per g, 0-1
 * @returns 0-1 (judgement)
 */
export function starchGoal(temperatureC: number, sugar: number): number {
  return sigmoid((temperatureC - 72 - 25 * sugar ** 1.5) / 3);
}

/**
 * Share of the starch that is gelatinised after it was held hot. Sugar holds it back.
 *
 * @param hottestC °C reached
 * @param minutes min held there, 0 or more
 * @param sugar g of sugars per g, 0-1
 * @returns 0-1 (judgement)
 * @example cookedStarch(95, 3, 0.3) // 0.98
 */
export function cookedStarch(hottestC: number, minutes: number, sugar: number): number {
  return starchGoal(hottestC, sugar) * (1 - Math.exp(-minutes / 0.7));
}
