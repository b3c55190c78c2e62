import { addTimes, noComponents, partOf } from '../matter/component-vector';
import { COMPONENT_INDEX, type ComponentVector } from '../matter/components';
import type { Process } from '../matter/process';
import type { RowRole } from '../method/row-role';
import { nth } from '../nth';
import { type Batch, prepareBatch } from '../predict/state';
import { normalNumbers, seededNumbers } from '../random';

/** A row of what is practised: its name, what it is, and g as it should be. */
export interface PracticeRow {
  readonly name: string;
  readonly role: RowRole;
  readonly perGram: ComponentVector;
  readonly grams: number;
}

/** What is practised: a formula as it should be made, poured and eaten. */
export interface PracticeBase {
  readonly rows: readonly PracticeRow[];
  readonly process: Process;
  readonly pourC: number;
  /** °C it is eaten at, hours after the pour */
  readonly eatC: number;
  readonly hours: number;
}

/** What went wrong with a pan, if anything. */
export const CAUSES = ['asPlanned', 'shortLiquid', 'boiledLong', 'notHot', 'sugarLate'] as const;
export type Cause = (typeof CAUSES)[number];

/** A pan nobody sees into. Plain data: the same seed makes the same pan. */
export interface HiddenPan {
  readonly base: PracticeBase;
  readonly cause: Cause;
  /** g of each row that went in */
  readonly grams: readonly number[];
  /** g of water that boiled off beyond what was planned */
  readonly lostWaterG: number;
  /** parts of its mass by which the chocolate has more cocoa, and less sugar, than it says */
  readonly cocoaOff: number;
  /** ln by which this pan's kitchen pours thicker than the book */
  readonly lnKitchen: number;
  readonly components: ComponentVector;
  readonly batch: Batch;
  /** min it stood open, and whether a whisk left air in it: seen, and of no weight for what is asked */
  readonly stoodMin: number;
  readonly isFoamy: boolean;
}

/** How a pan is disturbed: spread of cups (sd of ln), most of the water that may boil off unseen, sd of the cocoa of a chocolate (part of its mass), sd of the hidden kitchen. */
export interface Disturbance {
  readonly cups: number;
  readonly boiledOff: number;
  readonly cocoa: number;
  readonly kitchen: number;
}

/** As kitchens do: cups a tenth off, up to 15 % boiled off and forgotten, the chocolate beside it taken for the one meant (J); a kitchen within a quarter of the book. */
const USUAL_DISTURBANCE: Disturbance = { cups: 0.1, boiledOff: 0.15, cocoa: 0.03, kitchen: 0.22 };
/** Only what is asked about differs. */
export const STILL_DISTURBANCE: Disturbance = { cups: 0.015, boiledOff: 0, cocoa: 0, kitchen: 0.1 };
/** As it should be. */
export const UNDISTURBED: Disturbance = { cups: 0, boiledOff: 0, cocoa: 0, kitchen: 0 };

/** How long a pan may have stood, min, and how often a whisk leaves air in it (J). */
const LONGEST_STOOD_MIN = 20;
const FOAMY = 0.25;
/** What each cause does: part of the liquids left out, part of the water boiled off (J). */
const SHORT_LIQUID = 0.28;
const BOILED_LONG = 0.3;

/** A gram of a chocolate that has more cocoa than it says, by parts of its mass, and as much less sugar; fat and solids keep their shares. */
export function withCocoa(perGram: ComponentVector, more: number): ComponentVector {
  const { cocoa_solids: solids, cocoa_butter: butter, sucrose } = COMPONENT_INDEX;
  const [dry, fat, sugar] = [nth(perGram, solids), nth(perGram, butter), nth(perGram, sucrose)];
  const cocoa = dry + fat;
  if (cocoa <= 0) return perGram;
  const moved = Math.min(Math.max(more, -cocoa), sugar);
  const other = perGram.slice();
  other[solids] = dry + (moved * dry) / cocoa;
  other[butter] = fat + (moved * fat) / cocoa;
  other[sucrose] = sugar - moved;
  return other;
}

/** Water of a batch, g. */
const waterOf = (components: ComponentVector) => partOf(components, 'water');

/**
 * Draws a hidden pan.
 *
 * @param base rows with more than nothing in them
 * @param seed any integer; the same one draws the same pan
 * @param change g of single rows times so much, by their place, for pans that differ in one thing
 */
export function hiddenPan(
  base: PracticeBase,
  seed: number,
  disturbance: Disturbance = USUAL_DISTURBANCE,
  cause: Cause = 'asPlanned',
  change: ReadonlyMap<number, number> = new Map(),
): HiddenPan {
  const dice = seededNumbers(seed);
  const normal = normalNumbers(dice);
  const lnKitchen = disturbance.kitchen * normal();
  const boiledOff = disturbance.boiledOff * dice();
  const grams = base.rows.map(({ grams: planned, role }, i) => {
    const short = cause === 'shortLiquid' && role === 'liquid' ? 1 - SHORT_LIQUID : 1;
    return planned * Math.exp(disturbance.cups * normal()) * short * (change.get(i) ?? 1);
  });
  const stoodMin = LONGEST_STOOD_MIN * dice();
  const isFoamy = dice() < FOAMY;
  const cocoaOff = disturbance.cocoa * normal();
  const components = noComponents();
  for (const [i, { perGram, role }] of base.rows.entries()) {
    addTimes(components, role === 'chocolate' ? withCocoa(perGram, cocoaOff) : perGram, nth(grams, i));
  }
  const lostWaterG = waterOf(components) * (cause === 'boiledLong' ? BOILED_LONG : boiledOff);
  components[COMPONENT_INDEX.water] = waterOf(components) - lostWaterG;
  const batch = batchOf(base, components, lnKitchen);
  return { base, cause, grams, lostWaterG, cocoaOff, lnKitchen, components, batch, stoodMin, isFoamy };
}

/** What a hidden pan's kitchen makes of some components. */
export function batchOf({ process }: PracticeBase, components: ComponentVector, lnKitchen: number): Batch {
  return prepareBatch(components, {
    ...process,
    warmOffset: process.warmOffset + lnKitchen,
    coldOffset: process.coldOffset + lnKitchen,
  });
}
