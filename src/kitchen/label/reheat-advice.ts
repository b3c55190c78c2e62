import { inBursts } from '@/core/pan/burst-plan';
import { massG, type PanState } from '@/core/pan/pan';
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
}

/** No place of a jar may become hotter while it is warmed (J). */
const HOTTEST_C = 60;

/** A share of a pan. */
function shareOf(pan: PanState, grams: number): PanState {
  const factor = Math.min(grams / massG(pan), 1);
  return {
    ...pan,
    liquid: pan.liquid.map((each) => each * factor),
    lumps: pan.lumps.map((lump) => ({ ...lump, grams: lump.grams * factor })),
  };
}

/**
 * How a jar, tub or portion is brought to its pour again: the bursts of a microwave, stirred between, and the splash it needs.
 *
 * @returns nothing where the pan has no end that is known
 */
export function reheatAdvice(
  cooked: Pick<CookedBatch, 'formula' | 'method'>,
  grams: number,
  place: ShelfPlace,
): ReheatAdvice | undefined {
  const { followed, pourC, kitchen } = cooked.method;
  const end = followed.at(-1)?.end;
  if (!end || !(massG(end) > 0) || !(grams > 0)) return undefined;
  const cold: PanState = { ...shareOf(end, grams), temperatureC: Math.max(PLACE_C[place], 0) };
  const { lengths } = inBursts(cold, kitchen.microwaveW, Math.max(HOTTEST_C, pourC + 10), pourC);
  const splash = reheatingSplash(cooked.formula, cooked.method)?.water;
  const whole = massG(end);
  return {
    grams: massG(cold),
    toC: pourC,
    bursts: lengths,
    powerW: kitchen.microwaveW,
    splashG: splash === undefined ? undefined : (splash * massG(cold)) / whole,
  };
}
