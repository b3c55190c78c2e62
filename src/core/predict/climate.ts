import { crystalClock } from '../fat/crystallisation';
import { milkFatSolid } from '../fat/solid-fat';
import { cocoaColdFactor } from '../flow/cocoa-yield';
import { inFatColdFactor } from '../flow/fat-continuous';
import type { ThermalHistory } from '../matter/process';
import { lactoseSolubility, sucroseSolubility } from '../serum/dissolved';
import { reducedTemperature } from '../serum/viscosity';
import { gelatinSetShare, pectinSetShare, starchColdFactor } from '../set/gels';

/** All that depends on temperature and history alone, worked out once and read by any number of batches. */
export interface Climate {
  readonly temperatureC: number;
  readonly history: ThermalHistory;
  /** g per g of water at saturation */
  readonly sucroseSolubility: number;
  readonly lactoseSolubility: number;
  /** of the sugar-solution law */
  readonly reducedTemperature: number;
  /** age of the fat crystals for droplets in water */
  readonly crystalClock: number;
  /** share of the milk fat that is solid at rest, 0-1 */
  readonly milkFatSolid: number;
  /** factors and shares of full strength at this temperature and age */
  readonly cocoaColdFactor: number;
  readonly inFatColdFactor: number;
  readonly gelatinSetShare: number;
  readonly pectinSetShare: number;
  readonly starchColdFactor: number;
}

/**
 * Prepares a temperature and what led to it.
 *
 * @param temperatureC °C, 0-95 in the data behind the laws
 * @param history hours and °C, oldest first, ending now
 */
export function climateAt(temperatureC: number, history: ThermalHistory): Climate {
  return {
    temperatureC,
    history,
    sucroseSolubility: sucroseSolubility(temperatureC),
    lactoseSolubility: lactoseSolubility(temperatureC),
    reducedTemperature: reducedTemperature(temperatureC),
    crystalClock: crystalClock(history),
    milkFatSolid: milkFatSolid(temperatureC),
    cocoaColdFactor: cocoaColdFactor(temperatureC),
    inFatColdFactor: inFatColdFactor(temperatureC),
    gelatinSetShare: gelatinSetShare(temperatureC, history),
    pectinSetShare: pectinSetShare(temperatureC, history),
    starchColdFactor: starchColdFactor(temperatureC),
  };
}
