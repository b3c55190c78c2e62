import type { ThermalHistory } from './process';

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
