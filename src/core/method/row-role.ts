import { partOf } from '../matter/component-vector';
import { type ComponentVector, SWEET_NAMES } from '../matter/components';

/** What a row is to a method: what it is made of decides, not what it is called. */
export const ROW_ROLES = [
  'liquid',
  'chocolate',
  'cocoa',
  'sugar',
  'syrup',
  'butter',
  'oil',
  'starch',
  'gelatin',
  'helper',
  'spirit',
  'paste',
  'flavour',
] as const;

export type RowRole = (typeof ROW_ROLES)[number];

/** Shares of a gram from which a component decides (J). */
const SPIRIT = 0.08;
const PURE = 0.4;
const COCOA_POWDER = 0.65;
const CHOCOLATE_FAT = 0.17;
const BLOCK_FAT = 0.1;
const CHOCOLATE_DRY = 0.06;
const BUTTER_FAT = 0.6;
const OIL = 0.9;
const LIQUID_WATER = 0.4;
const SWEET = 0.5;
const SYRUP_WATER = 0.03;
const PASTE_FAT = 0.2;
const PALE_PROTEIN = 0.02;

/**
 * The role of a row.
 *
 * @param perGram what 1 g of it is made of
 */
export function roleOfRow(perGram: ComponentVector): RowRole {
  const of = (name: Parameters<typeof partOf>[1]) => partOf(perGram, name);
  const sweet = SWEET_NAMES.reduce((sum, name) => sum + of(name), 0);
  const hardFat = of('cocoa_butter') + of('lauric_fat') + of('hard_fat');
  const softFat = of('milk_fat') + of('lauric_fat') + of('hard_fat');
  const water = of('water');
  const isDry = water < CHOCOLATE_DRY;
  if (of('ethanol') >= SPIRIT) return 'spirit';
  if (of('gelatin') >= PURE) return 'gelatin';
  if (of('starch') >= PURE && sweet < SWEET) return 'starch';
  if (of('pectin') + of('agar') + of('gums') + of('lecithin') >= PURE) return 'helper';
  if (of('cocoa_solids') >= COCOA_POWDER) return 'cocoa';
  // Gianduja too: its hazelnut oil counts beside some cocoa butter.
  const isBlock = hardFat >= CHOCOLATE_FAT || (hardFat >= BLOCK_FAT && hardFat + of('liquid_oil') >= CHOCOLATE_FAT);
  if (isDry && isBlock && (of('cocoa_solids') > 0.02 || sweet > 0.2)) return 'chocolate';
  if (of('liquid_oil') >= OIL) return 'oil';
  if (softFat >= BUTTER_FAT || of('cocoa_butter') >= BUTTER_FAT) return 'butter';
  // Praline, gianduja, nut pastes and spreads: fat with sugar in it, which melts in the warm and does not dissolve.
  if (isDry && of('liquid_oil') + hardFat >= PASTE_FAT) return 'paste';
  if (sweet + of('lactose') >= SWEET) return water > SYRUP_WATER ? 'syrup' : 'sugar';
  if (water >= LIQUID_WATER) return 'liquid';
  if (of('liquid_oil') >= PASTE_FAT) return 'paste';
  return 'flavour';
}

/** Whether a chocolate holds milk: milk and white couverture scorch sooner than dark. */
export const isPale = (perGram: ComponentVector) => partOf(perGram, 'milk_protein') > PALE_PROTEIN;
