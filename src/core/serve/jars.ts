import { usualHistory } from '../matter/process';
import { saturationPressure } from '../pan/water';
import { type Batch, stateAt } from '../predict/state';

/** A jar or tub: mL to its brim, and the part of it that is left empty, 0-1. */
export interface JarKind {
  readonly brimMl: number;
  readonly headspace: number;
  /** how many there are; as many as can be filled when left out */
  readonly most?: number | undefined;
}

/** How many of a kind are filled, and with how much each. */
export interface FilledKind {
  readonly count: number;
  readonly eachG: number;
}

/**
 * Fills jars with a batch: kinds in the order given, as many of each as there are or as it fills whole.
 *
 * @param batchG g there are
 * @param densityKgM3 as it is filled
 * @returns counts and g in each, and g that are left over
 * @example fillJars(1000, 1100, [{ brimMl: 250, headspace: 0.1 }]) // four of 247.5 g, 10 g left
 */
export function fillJars(
  batchG: number,
  densityKgM3: number,
  kinds: readonly JarKind[],
): { readonly filled: readonly FilledKind[]; readonly leftG: number } {
  let leftG = batchG;
  const filled = kinds.map(({ brimMl, headspace, most }): FilledKind => {
    const eachG = (brimMl * (1 - headspace) * densityKgM3) / 1000;
    const fits = eachG > 0 ? Math.floor(leftG / eachG + 1e-9) : 0;
    const count = Math.max(Math.min(fits, most ?? fits), 0);
    leftG -= count * eachG;
    return { count, eachG };
  });
  return { filled, leftG };
}

/** What runs through a funnel of a centimetre by itself: Pa that still hold it, and Pa·s (J). */
const FUNNEL = { yieldPa: 25, viscosityPaS: 6 } as const;
/** Hotter than this nothing is filled by hand, °C (J). */
const HOTTEST_FILL_C = 85;
const STEP_C = 0.5;

/** Between which temperatures it is filled, and from which on the lid stays dry, °C. */
export interface FillWindow {
  /** the coolest at which it still runs through a funnel; nothing where it never does */
  readonly leastC: number | undefined;
  readonly mostC: number;
  /** at this or under, no water gathers under the lid */
  readonly lidC: number;
}

/**
 * When a batch is filled and when it is lidded. Filled too cold it sets in the funnel; lidded too warm the damp of it gathers under the lid, which is as
 * warm as the kitchen, and drips back.
 *
 * @param kitchenC °C of the room and so of the lid
 * @see Buck 1981 for the pressure of damp air; limits of the funnel are judgement
 */
export function fillWindow(batch: Batch, kitchenC: number): FillWindow {
  const runs = (temperatureC: number) => {
    const { flow } = stateAt(batch, temperatureC, usualHistory(temperatureC));
    return flow.yieldStressPa <= FUNNEL.yieldPa && flow.apparentViscosityPaS <= FUNNEL.viscosityPaS;
  };
  let leastC: number | undefined;
  for (let t = HOTTEST_FILL_C; t >= kitchenC && runs(t); t -= STEP_C) leastC = t;
  const isDry = (temperatureC: number) => {
    const { waterActivity } = stateAt(batch, temperatureC, usualHistory(temperatureC));
    return waterActivity * saturationPressure(temperatureC) <= saturationPressure(kitchenC);
  };
  let lidC = kitchenC;
  while (lidC < HOTTEST_FILL_C && isDry(lidC + STEP_C)) lidC += STEP_C;
  return { leastC, mostC: HOTTEST_FILL_C, lidC };
}

/** m from the middle to the wall of a jar as high as it is wide. */
export function jarRadiusM(filledMl: number): number {
  return (filledMl / 1e6 / (2 * Math.PI)) ** (1 / 3);
}
