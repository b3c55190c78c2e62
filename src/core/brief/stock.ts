import type { Composition } from '../matter/components';
import { contentsOf } from '../matter/contents';
import { isFreeOf, type Restrictable, type Restriction } from '../swap/restrictions';

/** An ingredient on the shelf, as far as starting points need it. */
export interface StockItem extends Restrictable {
  readonly id: string;
  readonly group: string;
  readonly cocoaPercent: number | null;
  readonly ph?: number | null;
}

/** A part an ingredient can play in a family. */
export type Role =
  | 'dark'
  | 'milkChocolate'
  | 'white'
  | 'gianduja'
  | 'cream'
  | 'milk'
  | 'butter'
  | 'syrup'
  | 'sugar'
  | 'cocoa'
  | 'starch'
  | 'gelatin'
  | 'condensed'
  | 'neutralGlaze'
  | 'water';

const at = (composition: Composition, ...names: (keyof Composition)[]) =>
  names.reduce((sum, name) => sum + (composition[name] ?? 0), 0);
const fatOf = (c: Composition) => at(c, 'milk_fat', 'lauric_fat', 'liquid_oil', 'hard_fat', 'cocoa_butter');
const sugarsOf = (c: Composition) => at(c, 'sucrose', 'glucose', 'fructose', 'maltose');
const polyolsOf = (c: Composition) => at(c, 'maltitol', 'erythritol', 'xylitol', 'sorbitol', 'glycerol');

/** How well an item plays a part: 0 is perfect, more is further off; nothing when it cannot. */
type Fit = (item: StockItem) => number | undefined;

/** Nearest to some cocoa %, sweetened somehow, of cocoa butter and not of other fats. */
function chocolate(cocoaPercent: number, suits: (c: Composition) => boolean): Fit {
  return ({ group, components: c, cocoaPercent: own }) => {
    if (group !== 'chocolate' || at(c, 'cocoa_butter') < 15 || at(c, 'lauric_fat', 'liquid_oil') > 2 || !suits(c)) {
      return undefined;
    }
    const unsweetened = sugarsOf(c) + polyolsOf(c) < 10 ? 60 : 0;
    return Math.abs((own ?? 0) - cocoaPercent) + unsweetened;
  };
}

const isSour = ({ ph }: StockItem) => (typeof ph === 'number' && ph < 5.8 ? 40 : 0);

const FITS: Readonly<Record<Role, Fit>> = {
  dark: chocolate(62, (c) => at(c, 'cocoa_solids') > 8 && at(c, 'milk_protein') < 1),
  milkChocolate: chocolate(38, (c) => at(c, 'cocoa_solids') > 2 && at(c, 'milk_protein') >= 3),
  white: chocolate(
    30,
    (c) => at(c, 'cocoa_solids') < 1 && at(c, 'milk_protein') >= 3 && sugarsOf(c) + polyolsOf(c) > 10,
  ),
  gianduja: (item) => {
    const { group, components: c } = item;
    const hasNuts = contentsOf(item).contains.some((name) => name.startsWith('nuts'));
    return group === 'chocolate' && at(c, 'cocoa_butter') > 8 && hasNuts ? 0 : undefined;
  },
  cream: (item) => {
    const { components: c } = item;
    const fat = fatOf(c);
    if (fat < 10 || fat > 45 || at(c, 'water') < 45 || sugarsOf(c) > 6 || at(c, 'ethanol') > 0) return undefined;
    return Math.abs(fat - 35) + isSour(item) + (at(c, 'gums') > 0 ? 3 : 0);
  },
  milk: (item) => {
    const { components: c, group } = item;
    if ((group !== 'dairy' && group !== 'plant') || at(c, 'water') < 82 || fatOf(c) > 8) return undefined;
    return Math.abs(fatOf(c) - 3.6) + isSour(item);
  },
  butter: ({ components: c }) =>
    fatOf(c) > 74 && at(c, 'water') > 8 && at(c, 'cocoa_butter') === 0 ? 10 * at(c, 'salt') : undefined,
  syrup: ({ components: c, group }) =>
    group === 'sugars' && at(c, 'water') >= 12 && at(c, 'water') <= 35
      ? at(c, 'higher_saccharides') > 20
        ? Math.abs(at(c, 'higher_saccharides') - 54) / 5
        : at(c, 'maltitol') > 40
          ? 30
          : undefined
      : undefined,
  sugar: ({ components: c }) =>
    at(c, 'sucrose') > 98
      ? 0
      : at(c, 'maltitol') > 95
        ? 20
        : at(c, 'allulose') > 95
          ? 25
          : at(c, 'xylitol') > 95
            ? 40
            : undefined,
  cocoa: ({ components: c }) => (at(c, 'cocoa_solids') > 55 ? Math.abs(at(c, 'cocoa_butter') - 22) : undefined),
  starch: ({ components: c, id }) => (at(c, 'starch') > 80 ? (id.includes('corn') ? 0 : 5) : undefined),
  gelatin: ({ components: c }) => (at(c, 'gelatin') > 70 ? 0 : undefined),
  condensed: ({ components: c }) =>
    at(c, 'sucrose') > 35 && at(c, 'lactose') > 8 && at(c, 'water') > 20 ? 0 : undefined,
  neutralGlaze: ({ components: c }) => (at(c, 'pectin') > 0.2 && at(c, 'water') > 20 ? at(c, 'water') / 10 : undefined),
  water: ({ components: c }) => (at(c, 'water') >= 99.9 ? 0 : undefined),
};

/** The item that plays a part best and breaks no restriction; nothing when the shelf has none. */
export function bestFor<Item extends StockItem>(
  role: Role,
  stock: readonly Item[],
  without: readonly Restriction[],
): Item | undefined {
  let best: { item: Item; distance: number } | undefined;
  for (const item of stock) {
    if (!without.every((restriction) => isFreeOf(restriction, item))) continue;
    const distance = FITS[role](item);
    if (distance !== undefined && (best === undefined || distance < best.distance)) best = { item, distance };
  }
  return best?.item;
}
