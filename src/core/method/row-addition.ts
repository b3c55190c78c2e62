import { partOf } from '../matter/component-vector';
import { nth } from '../nth';
import type { Addition } from '../pan/add';
import { GRAIN_RADII_M, PIECE_RADII_M } from '../pan/lump';
import type { MethodKitchen } from './kitchen';
import type { MethodRows } from './rows';
import type { StepAddition } from './step';

/** Shares of a gram from which a liquid comes from the fridge. */
const DAIRY_LACTOSE = 0.01;

/**
 * What goes into the pan of a row: chocolate as callets, butter in small dice, sugar as grains, all else at once; dairy and butter from the fridge.
 *
 * @param part of a row
 */
export function rowAddition(rows: MethodRows, { row, share }: StepAddition, kitchen: MethodKitchen): Addition {
  const { perGram, grams } = nth(rows.lines, row);
  const role = nth(rows.roles, row);
  const own = { key: String(row), perGram, grams: grams * share };
  if (role === 'chocolate') {
    return { ...own, temperatureC: kitchen.kitchenC, as: 'piece', radiusM: PIECE_RADII_M.callets };
  }
  if (role === 'butter') {
    const isCocoaButter = partOf(perGram, 'milk_fat') === 0 && partOf(perGram, 'cocoa_butter') > 0;
    const temperatureC = isCocoaButter ? kitchen.kitchenC : kitchen.fridgeC;
    return { ...own, temperatureC, as: 'piece', radiusM: PIECE_RADII_M.callets };
  }
  if (role === 'sugar') {
    return { ...own, temperatureC: kitchen.kitchenC, as: 'grain', radiusM: GRAIN_RADII_M.granulated };
  }
  const isDairy = role === 'liquid' && partOf(perGram, 'lactose') >= DAIRY_LACTOSE;
  return { ...own, temperatureC: isDairy ? kitchen.fridgeC : kitchen.kitchenC, as: 'liquid' };
}
