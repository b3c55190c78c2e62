import type { ComponentVector } from '../matter/components';
import { type RowRole, roleOfRow } from '../method/row-role';
import { additionCurve, gramsTo, lnOf, panMass, type RescuePan } from './addition-curve';
import { type Band, type Belief, beliefMean, beliefQuantile, chanceInBand, type Seen, sideSeen } from './belief';

/** From this chance on a pan that looks right is right. */
const MENDED = 0.88;
/** Looks in a row, with nothing put in between, that say "right" before that decides by itself. */
const LOOKS_THAT_DECIDE = 3;
/** A portion is judged by this part of what is believed, on the side of too little. */
const CAREFUL = 0.4;
/** The target lies so far from the middle of the band, in half bands, on the side the pan comes from. */
const FROM_MIDDLE = 0.15;
/** Least that a spoon can do: g, and as a share of the pan. */
const SPOON_G = 5;
const SPOON_SHARE = 0.01;

/** How a pan was seen as it is now. */
export interface SeenNow {
  /** nothing where it was measured, or not looked at */
  readonly seen: Seen | undefined;
  /** looks in a row that said "right", with nothing put in between */
  readonly timesRight: number;
}

/** What to do next. */
export type NextPortion =
  | { readonly kind: 'mended'; readonly chance: number }
  /** it looks right, and that is not sure yet: one more look, or a ring */
  | { readonly kind: 'look'; readonly chance: number }
  /** so many whole grams now, of so many on the mean in all; how likely it is right already, and would be with them */
  | {
      readonly kind: 'add';
      readonly grams: number;
      readonly inAll: number;
      readonly chance: number;
      readonly chanceThen: number;
      /** by what is believed it is right already: the eye says otherwise, so that a spoon of it goes in and no more */
      readonly isOneSpoon: boolean;
    }
  /** this addition moves it the wrong way, or never far enough */
  | { readonly kind: 'cannot'; readonly chance: number };

/** On which side of its band a pan is: as it was just seen, else as it is rather believed to be. */
function sideOf(belief: Belief, lnPredicted: number, { low, high }: Band, seen: Seen | undefined): 'thick' | 'thin' {
  const side = seen && sideSeen(seen);
  if (side) return side;
  const above = chanceInBand(belief, lnPredicted, { low: high, high: Number.POSITIVE_INFINITY });
  const below = chanceInBand(belief, lnPredicted, { low: Number.MIN_VALUE, high: low });
  return above >= below ? 'thick' : 'thin';
}

/** What sets or thickens by the gram: half a leaf of gelatin is a portion. */
const STRONG_ROLES: readonly RowRole[] = ['gelatin', 'starch', 'helper'];
const STRONG_G = 1;

/** Least of something that goes into a pan at once, whole g. */
export function spoonOf(massG: number, perGram: ComponentVector): number {
  if (STRONG_ROLES.includes(roleOfRow(perGram))) return STRONG_G;
  return Math.ceil(Math.max(SPOON_G, SPOON_SHARE * massG) - 1e-9);
}

/**
 * Whether a pan that nobody calls thick or thin counts as right, and whether one more look is asked for.
 *
 * @param chance that it lies in its band, 0-1
 */
export function settled({ seen, timesRight }: SeenNow, chance: number): 'mended' | 'look' | undefined {
  if (seen !== undefined && sideSeen(seen)) return undefined;
  if (chance > MENDED || timesRight >= LOOKS_THAT_DECIDE) return 'mended';
  return seen === 'right' ? 'look' : undefined;
}

/**
 * The next portion of an addition (science-pan.md section 8). What the cook sees decides the side: a pan that is seen thick is never called right and
 * never thickened. What is believed decides how much.
 *
 * @param perGram what 1 g of the addition is made of
 */
export function nextPortion(
  pan: RescuePan,
  perGram: ComponentVector,
  belief: Belief,
  band: Band,
  now: SeenNow = { seen: undefined, timesRight: 0 },
): NextPortion {
  const lnNow = lnOf(pan);
  const chance = chanceInBand(belief, lnNow, band);
  const kind = settled(now, chance);
  if (kind) return { kind, chance };
  const side = sideOf(belief, lnNow, band, now.seen);
  const [low, high] = [Math.log(band.low), Math.log(band.high)];
  const half = (high - low) / 2;
  const target = low + half + (side === 'thick' ? FROM_MIDDLE : -FROM_MIDDLE) * half;
  const curve = additionCurve(pan, perGram);
  const needed = (s: number) => gramsTo(curve, target - s, side === 'thick' ? 'down' : 'up');
  const careful = needed(beliefQuantile(belief, side === 'thick' ? CAREFUL : 1 - CAREFUL));
  const spoon = spoonOf(panMass(pan.components), perGram);
  if (careful === undefined || !movesTo(curve, spoon, side)) return { kind: 'cannot', chance };
  const isOneSpoon = chance > MENDED;
  const grams = isOneSpoon ? spoon : Math.max(Math.round(careful), spoon);
  const inAll = Math.max(needed(beliefMean(belief)) ?? careful, grams);
  const chanceThen = chanceInBand(belief, curveAt(curve, grams), band);
  return { kind: 'add', grams, inAll, chance, chanceThen, isOneSpoon };
}

/** ln of the quantity at so many grams of a curve, between its points by straight lines. */
function curveAt({ grams, ln }: ReturnType<typeof additionCurve>, at: number): number {
  const i = Math.max(
    grams.findIndex((each) => each >= at),
    1,
  );
  const [from, to] = [grams[i - 1] ?? 0, grams[i] ?? 0];
  const [a, b] = [ln[i - 1] ?? 0, ln[i] ?? 0];
  return a + ((at - from) / Math.max(to - from, 1e-12)) * (b - a);
}

/** Whether a spoon of it moves a pan the right way at all. */
function movesTo(curve: ReturnType<typeof additionCurve>, spoonG: number, side: 'thick' | 'thin'): boolean {
  const moved = curveAt(curve, spoonG) - (curve.ln[0] ?? 0);
  return side === 'thick' ? moved < 0 : moved > 0;
}
