import type { Climate } from '../matter/climate';
import type { Process, ThermalHistory } from '../matter/process';
import { K } from '../model-constants';
import type { Serum } from '../serum/viscosity';
import { halfPower, sigmoid, softPlus } from '../smooth';

/**
 * Hours of a history spent below a setting temperature, with a soft edge of 1.5 °C.
 *
 * @param history hours and °C, oldest first
 * @param setC °C
 * @returns h
 */
function hoursBelow(history: ThermalHistory, setC: number): number {
  let hours = 0;
  for (const [span, temperatureC] of history) hours += span * sigmoid((setC - temperatureC) / 1.5);
  return hours;
}

/**
 * Share of its final strength a gel has reached: half after `K.gelHalfHours` below its setting temperature (J).
 *
 * @returns 0-1
 */
function ripened(history: ThermalHistory, setC: number): number {
  const hours = hoursBelow(history, setC);
  return hours / (hours + K.gelHalfHours);
}

/** Share of its strength a gelatin gel shows at this temperature and age, 0-1. */
export function gelatinSetShare(temperatureC: number, history: ThermalHistory): number {
  return sigmoid((K.gelatinSetC - temperatureC) / K.gelatinSetWidth) * ripened(history, K.gelatinSetC);
}

/** The same of pectin. */
export function pectinSetShare(temperatureC: number, history: ThermalHistory): number {
  return sigmoid((K.pectinSetC - temperatureC) / 4) * ripened(history, K.pectinSetC);
}

/** How much firmer a starch paste is cold than hot, 1-2.5. */
export function starchColdFactor(temperatureC: number): number {
  return 1 + 1.5 * sigmoid((40 - temperatureC) / 6);
}

/**
 * Yield stress that gelatin, pectin, cooked starch and gums give the serum, before particles amplify it.
 *
 * Gelatin: square of concentration (published form, level fitted). Pectin, and agar as three times its weight: thermoreversible (judgement). Starch: power 3.5 (fitted).
 * Gums: as xanthan (judgement).
 *
 * @param serum its thickeners
 * @param process gelatin strength
 * @param climate temperature and history
 * @returns Pa, 0 or more
 */
export function gelYield(serum: Serum, process: Process, climate: Climate): number {
  const { gelatinPercent, gellingPercent, starchPercent, gumsPercent } = serum;
  let yieldPa = 0;
  if (gelatinPercent > 0) {
    const effective = softPlus(gelatinPercent - K.gelatinLeast, 0.15);
    yieldPa +=
      K.gelatinYield *
      (process.bloomG / 200) *
      effective *
      effective *
      climate.gelatinSetShare *
      (gelatinPercent / (gelatinPercent + 0.05));
  }
  if (gellingPercent > 0) {
    yieldPa += K.pectinYield * halfPower(gellingPercent + 1e-9, 2.5) * climate.pectinSetShare;
  }
  if (starchPercent > 0) {
    yieldPa += K.starchYield * halfPower(starchPercent + 1e-9, 3.5) * climate.starchColdFactor;
  }
  if (gumsPercent > 0) yieldPa += 7 * halfPower(gumsPercent + 1e-9, 1.5);
  return yieldPa;
}
