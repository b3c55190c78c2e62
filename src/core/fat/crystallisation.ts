import type { ThermalHistory } from '../matter/process';
import { K } from '../model-constants';
import { sigmoid } from '../smooth';

/** Above this the crystals melt out within minutes (J). */
const MELT_OUT_C = 33;
const MELT_OUT_PER_HOUR = 10;

/**
 * How far the fat has crystallised towards its rest after a thermal history.
 *
 * Fat in droplets is slow: each droplet needs a nucleus of its own. Half time in an emulsion 4 h at 20 °C, 16 min at 5 °C; the exponent is near 1, since each
 * droplet waits for its own (J).
 *
 * @param history hours and °C, oldest first, ending now
 * @param waterContinuous 1 droplets in water, 0 bulk fat
 * @param timeOffset this kitchen's ln offset of the half time: above 0 slower
 * @returns 0-1
 * @see Avrami 1940, isokinetic additivity Nakamura 1973 (published form; times are judgement)
 * @example crystallised([[4, 20]], 1) // 0.5
 */
export function crystallised(history: ThermalHistory, waterContinuous: number, timeOffset = 0): number {
  return crystallisedAt(crystalAge(crystalClock(history), waterContinuous), timeOffset);
}

/**
 * Age of the crystals of a batch: bulk fat ages faster than droplets.
 *
 * @param clock from {@link crystalClock}
 * @returns 1 at the half time
 */
export const crystalAge = (clock: number, waterContinuous: number) => (1 + K.bulkSpeed * (1 - waterContinuous)) * clock;

/** How far the fat has come, 0-1, from the age of its crystals. */
export function crystallisedAt(age: number, timeOffset: number): number {
  const here = (timeOffset === 0 ? age : age * Math.exp(-timeOffset)) + 1e-9;
  return 1 - Math.exp(-Math.LN2 * here ** K.avramiPower);
}

/**
 * Age of the crystals of fat in droplets: 1 at the half time. Bulk fat ages in proportion.
 *
 * @param history hours and °C, oldest first, ending now
 */
export function crystalClock(history: ThermalHistory): number {
  let clock = 0;
  for (const [hours, temperatureC] of history) {
    clock =
      clock * Math.exp(-MELT_OUT_PER_HOUR * hours * sigmoid(temperatureC - MELT_OUT_C)) +
      hours / (K.crystalHoursAt20 * Math.exp(K.crystalColdFactor * (temperatureC - 20)));
  }
  return clock;
}
