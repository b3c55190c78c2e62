import { coolingTime } from '../pan/cooling-time';
import { stillMaterial } from '../pan/still';
import { type Batch, flowAt } from '../predict/state';
import type { Body } from '../set/cooling';

/** Hands: °C of the skin, and W/m²/K where they hold something (J). */
export const HANDS = { aroundC: 33, surface: 60 } as const;
/** h it has rested cold before it is worked. */
const RESTED_H = 12;
const HOTTEST_C = 45;
const STEP_C = 0.25;

/**
 * The warmest at which something that has rested cold still has a yield stress.
 *
 * @param restedC °C it rested at
 * @param leastPa Pa it must hold, above 0
 * @returns °C; nothing where it does not hold it even as it comes
 */
export function softAt(batch: Batch, restedC: number, leastPa: number): number | undefined {
  const holds = (temperatureC: number) =>
    flowAt(batch, temperatureC, [
      [RESTED_H, restedC],
      [0.2, temperatureC],
    ]).yieldStressPa >= leastPa;
  if (!holds(restedC)) return undefined;
  let warmest = restedC;
  while (warmest < HOTTEST_C && holds(warmest + STEP_C)) warmest += STEP_C;
  return warmest;
}

/**
 * Hours until the edge of something cold has become too soft where it is warm.
 *
 * @param body a ball, a bag, a slab
 * @returns nothing where it never does, 0 where it is too soft from the start
 */
export function staysFirmHours(
  batch: Batch,
  body: Body,
  restedC: number,
  leastPa: number,
  warm: { readonly aroundC: number; readonly surface: number },
): number | undefined {
  const softC = softAt(batch, restedC, leastPa);
  if (softC === undefined) return 0;
  if (warm.aroundC <= softC) return undefined;
  return coolingTime(body, stillMaterial(batch), warm, { fromC: restedC, toC: softC }, 'edge') ?? 0;
}

/** m from the middle of a ball of so many grams to its skin. */
export const ballRadiusM = (grams: number, densityKgM3: number) =>
  ((3 * (grams / 1000 / densityKgM3)) / (4 * Math.PI)) ** (1 / 3);
