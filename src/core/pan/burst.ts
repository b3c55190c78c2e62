import { readPan } from './advance';
import { catchingRate } from './catching';
import { DRY_G } from './dry';
import { microwaveHeat } from './heat-source';
import { heatCapacityOf } from './melting';
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

/** J/kg/K of what takes the heat: the liquid, or the lumps where there is none. */
function heatCapacity(pan: PanState): number {
  const [first] = pan.lumps;
  return first && liquidG(pan) < DRY_G ? heatCapacityOf(first.perGram) : readPan(pan).heatCapacity;
}

/**
 * The hottest place after a burst in the microwave, left still.
 *
 * @param before the pan as the burst began, something in it
 * @returns °C (J)
 */
export function hottestAfterBurst(before: PanState, powerW: number, seconds: number): number {
  const kg = massG(before) / 1000;
  return meanC(before) + (HOT_SPOT * microwaveHeat(powerW, massG(before)) * seconds) / (kg * heatCapacity(before));
}

/** The pan after a burst: its hottest place may have caught, or burnt where no water is around it. */
export function withHotSpot(after: PanState, hottestC: number, seconds: number): PanState {
  const waterContinuous = liquidG(after) >= DRY_G ? readPan(after).waterContinuous : 0;
  return { ...after, catching: after.catching + (seconds / 60) * catchingRate(hottestC, waterContinuous) };
}
