import type { ThermalHistory } from '../matter/process';
import { sigmoid } from '../smooth';

/** How far a cook's probe may be off, standard deviations in °C: cold things, and warm ones. */
export interface Thermometer {
  readonly coldC: number;
  readonly warmC: number;
}

/** A cook's usual probe (J): near 20 °C it matters more than the scale. */
export const USUAL_THERMOMETER: Thermometer = { coldC: 1.5, warmC: 2 };

/** Between cold and warm, °C, and how wide the change is. */
const BETWEEN_C = 30;
const WIDTH_C = 3;

/**
 * Standard deviation of a reading.
 *
 * @param temperatureC °C as read
 * @returns °C
 */
export function thermometerSd(temperatureC: number, { coldC, warmC }: Thermometer): number {
  return coldC + (warmC - coldC) * sigmoid((temperatureC - BETWEEN_C) / WIDTH_C);
}

/** A history whose last stretch, the one that was read, was really this much warmer. */
export function reallyAt(history: ThermalHistory, warmerC: number): ThermalHistory {
  return history.map(([hours, temperatureC], i) =>
    i === history.length - 1 ? ([hours, temperatureC + warmerC] as const) : ([hours, temperatureC] as const),
  );
}
