import { catchingRate } from './catching';
import { microwaveHeat } from './heat-source';
import type { LiquidReading } from './liquid-reading';
import { liquidG, massG, type PanState } from './pan';

/** How much hotter the hottest place of a still bowl gets than the whole of it (J). */
const HOT_SPOT = 2.2;

/** °C of all that is in a pan, by mass; lumps are no warmer than what they lie in. */
function meanC(pan: PanState): number {
  const heat = pan.lumps.reduce(
    (sum, { grams, temperatureC }) => sum + grams * Math.min(temperatureC, pan.temperatureC),
    liquidG(pan) * pan.temperatureC,
  );
  return heat / massG(pan);
}

/**
 * The hottest place after a burst in the microwave, left still.
 *
 * @param before the pan as the burst began, something in it
 * @param heatCapacity J/kg/K of its liquid
 * @returns °C (J)
 */
export function hottestAfterBurst(before: PanState, heatCapacity: number, powerW: number, seconds: number): number {
  const kg = massG(before) / 1000;
  return meanC(before) + (HOT_SPOT * microwaveHeat(powerW, massG(before)) * seconds) / (kg * heatCapacity);
}

/** The pan after a burst: its hottest place may have caught. */
export function withHotSpot(after: PanState, hottestC: number, seconds: number, reading: LiquidReading): PanState {
  const caught = (seconds / 60) * catchingRate(hottestC, reading.waterContinuous);
  return { ...after, catching: after.catching + caught };
}
