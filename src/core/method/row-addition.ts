import { partOf } from '../matter/component-vector';
import { nth } from '../nth';
import type { Addition } from '../pan/add';
import { GRAIN_RADII_M, PIECE_RADII_M } from '../pan/lump';
import type { MethodKitchen } from './kitchen';
import type { MethodRows } from './rows';
import type { StepAddition } from './step';

/** Shares of a gram from which a liquid comes from the fridge. */
const DAIRY_LACTOSE = 0.01;

/** Radius of a size, where it is one of these. */
const radiusOf = <Size extends string>(radii: Readonly<Record<Size, number>>, size: string | undefined) =>
  Object.entries<number>(radii).find(([name]) => name === size)?.[1];

/**
 * What goes into the pan of a row: chocolate as callets, butter in small dice, sugar as grains, unless the step or its row says how small; all
 * else at once; dairy and butter from the fridge.
 *
 * @param part of a row
 */
export function rowAddition(rows: MethodRows, { row, share, size }: StepAddition, kitchen: MethodKitchen): Addition {
  const { perGram, grams } = nth(rows.lines, row);
  const role = nth(rows.roles, row);
  const own = { key: String(row), perGram, grams: grams * share };
  const noted = size ?? nth(rows.hints, row).size;
  if (role === 'chocolate' || role === 'butter') {
    const isCold = role === 'butter' && (partOf(perGram, 'milk_fat') > 0 || partOf(perGram, 'cocoa_butter') === 0);
    const radiusM = radiusOf(PIECE_RADII_M, noted) ?? PIECE_RADII_M.callets;
    return { ...own, temperatureC: isCold ? kitchen.fridgeC : kitchen.kitchenC, as: 'piece', radiusM };
  }
  if (role === 'sugar') {
    const radiusM = radiusOf(GRAIN_RADII_M, noted) ?? GRAIN_RADII_M.granulated;
    return { ...own, temperatureC: kitchen.kitchenC, as: 'grain', radiusM };
  }
  const isDairy = role === 'liquid' && partOf(perGram, 'lactose') >= DAIRY_LACTOSE;
  return { ...own, temperatureC: isDairy ? kitchen.fridgeC : kitchen.kitchenC, as: 'liquid' };
}
