import { crystalClock } from '../fat/crystallisation';
import { milkFatSolid } from '../fat/solid-fat';
import { cocoaColdFactor } from '../flow/cocoa-yield';
import { inFatColdFactor } from '../flow/fat-continuous';
import type { Climate } from '../matter/climate';
import type { ThermalHistory } from '../matter/process';
import { lactoseSolubility, sucroseSolubility } from '../serum/dissolved';
import { reducedTemperature } from '../serum/viscosity';
import { gelatinSetShare, pectinSetShare, starchColdFactor } from '../set/gels';

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
