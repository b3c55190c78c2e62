import type { ComponentVector } from '../matter/components';
import { additionCurve, gramsTo, lnOf, panMass, type RescuePan } from './addition-curve';
import { type Band, type Belief, beliefMean, beliefQuantile, chanceInBand, type Seen } from './belief';

/** From this chance on a pan counts as mended. */
export const MENDED = 0.8;
/** A portion is judged by this part of what is believed, so that it rather falls short. */
const CAREFUL = 0.2;
/** Most of what is needed on the mean that goes in at once. */
const AT_ONCE = 0.6;
/** The target lies so far inside the band. */
const INSIDE = 1 / 3;
/** Least that a kitchen scale and a spoon make sense of, as a share of the pan. */
const LEAST = 0.004;

/** What to do next. */
export type NextPortion =
  | { readonly kind: 'mended'; readonly chance: number }
  /** so many grams now, of so many on the mean in all; and how likely it is right already */
  | { readonly kind: 'add'; readonly grams: number; readonly inAll: number; readonly chance: number }
  /** this addition moves it the wrong way, or never far enough */
  | { readonly kind: 'cannot'; readonly chance: number };

/** On which side of its band a pan is: as it was just seen, else as it is rather believed to be. */
function sideOf(belief: Belief, lnPredicted: number, { low, high }: Band, seen: Seen | undefined): 'thick' | 'thin' {
  if (seen === 'aBitThick' || seen === 'farTooThick') return 'thick';
  if (seen === 'aBitThin' || seen === 'farTooThin') return 'thin';
  const above = chanceInBand(belief, lnPredicted, { low: high, high: Number.POSITIVE_INFINITY });
  const below = chanceInBand(belief, lnPredicted, { low: Number.MIN_VALUE, high: low });
  return above >= below ? 'thick' : 'thin';
}

/**
 * The next portion of an addition: careful, at most a part of what is needed, so that what the cook sees after it decides how to go on.
 *
 * @param perGram what 1 g of the addition is made of
 * @param seen how the pan was seen as it is now: a cook is never told to thicken what is seen to be thick
 */
export function nextPortion(
  pan: RescuePan,
  perGram: ComponentVector,
  belief: Belief,
  band: Band,
  seen?: Seen,
): NextPortion {
  const lnNow = lnOf(pan);
  const chance = chanceInBand(belief, lnNow, band);
  if (chance > MENDED) return { kind: 'mended', chance };
  const side = sideOf(belief, lnNow, band, seen);
  const [low, high] = [Math.log(band.low), Math.log(band.high)];
  const target = side === 'thick' ? high - INSIDE * (high - low) : low + INSIDE * (high - low);
  const curve = additionCurve(pan, perGram);
  const needed = (s: number) => gramsTo(curve, target - s, side === 'thick' ? 'down' : 'up');
  const inAll = needed(beliefMean(belief));
  if (inAll === undefined) return { kind: 'cannot', chance };
  const careful = needed(beliefQuantile(belief, side === 'thick' ? CAREFUL : 1 - CAREFUL)) ?? inAll;
  const least = LEAST * panMass(pan.components);
  const grams = Math.max(Math.min(careful > 0 ? careful : AT_ONCE * inAll, AT_ONCE * Math.max(inAll, least)), least);
  return { kind: 'add', grams, inAll: Math.max(inAll, grams), chance };
}
