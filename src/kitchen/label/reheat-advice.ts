import { finishedComponents, finishedMass } from '@/core/formula/formula';
import { inBursts } from '@/core/pan/burst-plan';
import type { PanState } from '@/core/pan/pan';
import type { ShelfPlace } from '@/formats/shelf';
import type { CookedBatch } from '../cook/cook-batch';
import { reheatingSplash } from '../method/reheating';

/** How cold it is where it stands, °C. */
const PLACE_C: Readonly<Record<ShelfPlace, number>> = { fridge: 4, freezer: -18, coolRoom: 14, kitchen: 20 };

/** A jar of so many grams warmed again. */
export interface ReheatAdvice {
  readonly grams: number;
  readonly toC: number;
  /** s each burst in the microwave lasts */
  readonly bursts: readonly number[];
  readonly powerW: number;
  /** g of hot water or milk that bring it back to its gate */
  readonly splashG: number | undefined;
  /** it is thawed in the fridge first */
  readonly isThawed: boolean;
}

/** No place of a jar may become hotter while it is warmed (J). */
const HOTTEST_C = 60;

/**
 * How a jar, tub or portion is brought to its pour again: the bursts of a microwave, stirred between, and the splash it needs.
 *
 * @param formula as it leaves the stove: what boiled off while it was made is out of it already
 * @returns nothing where the pan has no end that is known
 */
export function reheatAdvice(
  { formula, method: { followed, pourC, kitchen } }: Pick<CookedBatch, 'formula' | 'method'>,
  grams: number,
  place: ShelfPlace,
): ReheatAdvice | undefined {
  const end = followed.at(-1)?.end;
  const wholeG = finishedMass(formula);
  if (!end || !(wholeG > 0) || !(grams > 0)) return undefined;
  const share = Math.min(grams / wholeG, 1);
  const cold: PanState = {
    ...end,
    liquid: finishedComponents(formula).map((each) => each * share),
    lumps: [],
    // From the freezer it is thawed first.
    temperatureC: Math.max(PLACE_C[place], PLACE_C.fridge),
    lostWaterG: 0,
  };
  const { plan, pan } = inBursts(cold, kitchen.microwaveW, Math.max(HOTTEST_C, pourC + 10), pourC);
  const splash = reheatingSplash(formula, pourC, pan.lostWaterG / share)?.water;
  return {
    grams: share * wholeG,
    toC: pourC,
    bursts: plan.map(({ seconds }) => seconds),
    powerW: kitchen.microwaveW,
    splashG: splash === undefined ? undefined : splash * share,
    isThawed: place === 'freezer',
  };
}
