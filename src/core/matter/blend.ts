import { nth } from '../nth';
import { solveQuadraticProgram } from '../quadratic-program';
import { partOf } from './component-vector';
import type { ComponentName, ComponentVector } from './components';

/** What a blend can be aimed at, % of its mass. */
export type BlendAim = 'cocoaPercent' | 'fatPercent';

const PARTS: Record<BlendAim, readonly ComponentName[]> = {
  cocoaPercent: ['cocoa_butter', 'cocoa_solids'],
  fatPercent: ['cocoa_butter', 'milk_fat', 'lauric_fat', 'liquid_oil', 'hard_fat'],
};

/** One thing to blend. */
export interface BlendPart {
  /** what 1 g of it is made of */
  readonly perGram: ComponentVector;
  /** what the pack says of the aim, %, where it says so: goes before the composition */
  readonly labelled?: number | undefined;
  /** g in stock; any amount when left out */
  readonly stockG?: number | undefined;
}

/** How a blend came out. */
export type Blend =
  | { readonly possible: true; readonly grams: readonly number[]; readonly reached: number }
  | { readonly possible: false; readonly least: number; readonly most: number; readonly reason: 'aim' | 'stock' };

/** % of the aim in a part. */
export function aimOf(part: BlendPart, aim: BlendAim): number {
  if (part.labelled !== undefined) return part.labelled;
  return 100 * PARTS[aim].reduce((sum, name) => sum + partOf(part.perGram, name), 0);
}

/** The lowest (sign 1) or highest (sign -1) aim that the stock allows, and its grams: fill up from one end. */
function extreme(values: readonly number[], stock: readonly number[], totalG: number, sign: 1 | -1) {
  const order = values.map((_, i) => i).sort((a, b) => sign * (nth(values, a) - nth(values, b)));
  const grams = values.map(() => 0);
  let left = totalG;
  for (const i of order) {
    grams[i] = Math.min(left, nth(stock, i));
    left -= nth(grams, i);
  }
  return { grams, aim: reachedBy(grams, values, totalG - left) };
}

const reachedBy = (grams: readonly number[], values: readonly number[], totalG: number) =>
  grams.reduce((sum, g, i) => sum + g * nth(values, i), 0) / totalG;

/** Nearer than this to an end of what is possible, the end is the blend: a program would have no room, %. */
const AT_THE_END = 1e-6;

/**
 * Blends two or more chocolates (or creams) to an exact cocoa % (or fat %), as evenly as that allows, out of what is in stock.
 *
 * @param parts two or more
 * @param aim what is aimed at
 * @param target %, 0-100
 * @param totalG g wanted, above 0
 * @returns grams of each (exact; weigh to a tenth), or between what limits it is possible
 * @see Goldfarb & Idnani 1983 (quadratic program: the smallest sum of squared shares)
 */
export function blend(parts: readonly BlendPart[], aim: BlendAim, target: number, totalG: number): Blend {
  const values = parts.map((part) => aimOf(part, aim));
  const stock = parts.map(({ stockG }) => Math.min(stockG ?? totalG, totalG));
  const [low, high] = [extreme(values, stock, totalG, 1), extreme(values, stock, totalG, -1)];
  const [least, most] = [low.aim, high.aim];
  if (stock.reduce((sum, g) => sum + g, 0) < totalG - 1e-9) return { possible: false, least, most, reason: 'stock' };
  if (target < least - AT_THE_END || target > most + AT_THE_END) {
    const inside = target >= Math.min(...values) && target <= Math.max(...values);
    return { possible: false, least, most, reason: inside ? 'stock' : 'aim' };
  }
  if (most - least > AT_THE_END) {
    if (target < least + AT_THE_END) return { possible: true, grams: low.grams, reached: least };
    if (target > most - AT_THE_END) return { possible: true, grams: high.grams, reached: most };
  }
  const unit = (k: number, sign: number) => parts.map((_, i) => (i === k ? sign : 0));
  const sameValue = Math.max(...values) - Math.min(...values) < 1e-9;
  const shares = solveQuadraticProgram({
    quadratic: parts.map((_, i) => unit(i, 2)),
    linear: parts.map(() => 0),
    equalities: [
      { row: parts.map(() => 1), equals: 1 },
      ...(sameValue ? [] : [{ row: values.map((value) => value / 100), equals: target / 100 }]),
    ],
    inequalities: parts.flatMap((_, i) => [
      { row: unit(i, 1), least: 0 },
      { row: unit(i, -1), least: -nth(stock, i) / totalG },
    ]),
  });
  if (!shares) return { possible: false, least, most, reason: 'stock' };
  const grams = shares.map((share) => Math.max(share, 0) * totalG);
  return { possible: true, grams, reached: reachedBy(grams, values, totalG) };
}
