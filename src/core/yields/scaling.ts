import type { Making } from '../brief/brief';
import { partOf } from '../matter/component-vector';
import type { MixingLine } from '../matter/mixing';
import { nth } from '../nth';
import { coolingTime } from '../pan/cooling-time';
import { bowlBody, COOLING_PLACES } from '../set/cooling';
import { boiledOffInPan, pansFor } from './batch-size';

/** Where from and where to a batch is scaled. */
export interface Scaling {
  /** g as it left the stove before, and the water boiled off on the way */
  readonly finishedG: number;
  readonly evaporationG: number;
  /** g wanted as it leaves the stove */
  readonly wantedG: number;
}

/** A batch scaled with sense. */
export interface ScaledBatch {
  /** g to weigh in, row by row */
  readonly grams: readonly number[];
  /** g of plain water to add as a row of its own, where no row holds any */
  readonly extraWaterG: number;
  /** g of water to boil off in all */
  readonly evaporationG: number;
  /** min each pan boils */
  readonly minutes: number;
  readonly pans: number;
  /** g the liquid was corrected by, beside plain scaling */
  readonly liquidG: number;
  /** g that cool in one bowl, before and now */
  readonly inBowlG: readonly [before: number, now: number];
}

/** What counts as plain water: its part of a row. */
const PLAIN_WATER = 0.98;
/** Most water that is added only to be boiled off again, as a part of the batch; past that the boil is made shorter. */
const MOST_ADDED = 0.25;
/** A ganache or sauce as far as its cooling goes (J, middle of the usual range). */
const MATERIAL = { densityKgM3: 1150, conductivity: 0.35, heatCapacityAt: () => 2900 };
const LUKEWARM = { fromC: 70, toC: 36 };
const COOLEST_AROUND_C = 34;

/** Hours in a bowl in the kitchen from hot to lukewarm, at its centre. */
export function lukewarmHours(massG: number, kitchenC: number): number {
  const place = { surface: COOLING_PLACES.room, aroundC: Math.min(kitchenC, COOLEST_AROUND_C) };
  return coolingTime(bowlBody(massG, MATERIAL.densityKgM3), MATERIAL, place, LUKEWARM) ?? Number.POSITIVE_INFINITY;
}

/**
 * Scales a batch so that what leaves the stove keeps its composition.
 *
 * Plain scaling would multiply the water boiled off too, but a pan boils off what its width and heat give, not what is in it. At the same
 * minutes the difference is made good in the liquid: plain water more or less. Where there is not enough plain water to leave out, the boil is
 * made longer instead; where it would take far too much, shorter.
 *
 * @param lines of the formula, with mass above 0
 * @param scaling from what to what, g above 0
 * @param making the pan and heat it is made with now; its minutes are kept where they can be
 * @returns grams by row, with what changes in the method
 */
export function scaleBatch(
  lines: readonly MixingLine[],
  { finishedG, evaporationG, wantedG }: Scaling,
  making: Making,
): ScaledBatch {
  const factor = wantedG / finishedG;
  const grams = lines.map((line) => line.grams * factor);
  const keeps = evaporationG * factor;
  const pans = pansFor(wantedG, making);
  const lost = pans * boiledOffInPan(making);
  const water = lines.findIndex(({ perGram }) => partOf(perGram, 'water') >= PLAIN_WATER);
  const held = water < 0 ? 0 : nth(grams, water);
  // A formula that says nothing of boiling is what was weighed in: nothing to correct.
  const liquidG =
    evaporationG === 0 || making.heat === 'none' ? 0 : Math.min(Math.max(lost - keeps, 0 - held), MOST_ADDED * wantedG);
  if (water >= 0) grams[water] = held + liquidG;
  const evaporated = keeps + liquidG;
  const perMinute = boiledOffInPan(making, 1) * pans;
  return {
    grams,
    extraWaterG: water < 0 ? liquidG : 0,
    evaporationG: evaporated,
    minutes: perMinute > 0 ? evaporated / perMinute : 0,
    pans,
    liquidG,
    inBowlG: [finishedG, wantedG / pans],
  };
}
