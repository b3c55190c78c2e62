import { partOf } from '../matter/component-vector';
import { type ComponentVector, SWEET_NAMES } from '../matter/components';
import { isEgg } from '../method/row-kind';

/** What spoils sooner than its water says. */
export const SPOILERS = ['dairy', 'plantCream', 'egg', 'fruit'] as const;
export type Spoiler = (typeof SPOILERS)[number];

/** What decides how long something keeps. */
export type KeepingReason = Spoiler | 'water';

/** What keeping is judged by. */
export interface KeepingFacts {
  /** 0-1 */
  readonly waterActivity: number;
  /** standard deviation of the water activity, 0 or more */
  readonly waterActivitySd: number;
  readonly spoilers: readonly Spoiler[];
}

/** How long it keeps in the fridge, and why no longer. */
export interface KeepingTime {
  readonly days: number;
  readonly reason: KeepingReason;
}

/** Days by water activity (J): between these ln days run straight, so that a little less water never keeps it less long. */
const BY_WATER = [
  [0.75, 120],
  [0.8, 90],
  [0.85, 40],
  [0.9, 14],
  [0.93, 7],
  [0.97, 3],
] as const;
/** Days of what spoils by itself: a few from the water activity on at which pathogens grow, more below it (J). */
const BY_SPOILER = [
  [0.78, 40],
  [0.85, 4],
] as const;

/** Days at a water activity, along ln; the first and the last hold beyond the ends. */
function daysAlong(knots: readonly (readonly [aw: number, days: number])[], waterActivity: number): number {
  const above = knots.findIndex(([aw]) => aw >= waterActivity);
  const [first, last] = [knots[0], knots.at(-1)];
  if (above <= 0) return (above < 0 ? last : first)?.[1] ?? 0;
  const [from, to] = [knots[above - 1], knots[above]];
  if (!from || !to) return 0;
  const share = (waterActivity - from[0]) / (to[0] - from[0]);
  return Math.exp(Math.log(from[1]) + share * (Math.log(to[1]) - Math.log(from[1])));
}

/** Shares of a gram from which a wet row is what spoils (J). */
const WET = 0.4;
const MILKY = 0.01;
const PLANT_PROTEIN = 0.003;
const PLANT_FAT = 0.01;
const FRUIT_ACID = 0.004;
const FRUIT_SUGAR = 0.02;
const SYRUP_SUGAR = 0.4;
const SPIRIT = 0.05;

/**
 * What a row brings that spoils by itself: liquid dairy, cream and drinks of plants, egg, fruit. Dry things and syrups do not.
 *
 * @param perGram what 1 g of it is made of
 */
export function spoilerOf(perGram: ComponentVector): Spoiler | undefined {
  const of = (name: Parameters<typeof partOf>[1]) => partOf(perGram, name);
  if (isEgg({ perGram })) return 'egg';
  if (of('water') < WET || of('ethanol') >= SPIRIT) return undefined;
  if (of('milk_protein') + of('lactose') >= MILKY) return 'dairy';
  if (of('acids') >= FRUIT_ACID) return 'fruit';
  const fat = of('liquid_oil') + of('lauric_fat') + of('hard_fat');
  if (of('other_protein') >= PLANT_PROTEIN || fat >= PLANT_FAT) return 'plantCream';
  const sweet = SWEET_NAMES.reduce((sum, name) => sum + of(name), 0);
  return sweet >= FRUIT_SUGAR && sweet < SYRUP_SUGAR ? 'fruit' : undefined;
}

/** What some rows bring that spoils by itself, each once. */
export function spoilersOf(rows: readonly { readonly perGram: ComponentVector; readonly grams: number }[]): Spoiler[] {
  const found = new Set(rows.flatMap(({ perGram, grams }) => (grams > 0 ? [spoilerOf(perGram)] : [])));
  return SPOILERS.filter((each) => found.has(each));
}

/**
 * How long something keeps covered in the fridge: the shorter of what its water and what its dairy, plant cream, egg or fruit allow, at the
 * side of its doubt on which it keeps less long. Judgement, no date and no statement on food safety; hygiene, hot filling and acidity are outside it.
 *
 * @returns days, never more for more water
 */
export function keepingTime({ waterActivity, waterActivitySd, spoilers }: KeepingFacts): KeepingTime {
  const careful = Math.min(waterActivity + waterActivitySd, 1);
  const byWater = daysAlong(BY_WATER, careful);
  const bySpoiler = daysAlong(BY_SPOILER, careful);
  const [first] = spoilers;
  return first !== undefined && bySpoiler < byWater
    ? { days: bySpoiler, reason: first }
    : { days: byWater, reason: 'water' };
}
