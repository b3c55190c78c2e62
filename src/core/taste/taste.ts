import type { Mixture } from '../matter/mixture';
import { POLYOL_NAMES, POLYOLS } from '../matter/polyols';

const ETHANOL_DENSITY = 0.789;
const GLYCEROL_SWEETNESS = 0.6;

/** Taste as far as composition tells it. */
export interface Taste {
  /** g of sucrose that would be as sweet, in 100 g */
  readonly sweetness: number;
  /** fat-free cocoa solids, g in 100 g */
  readonly cocoa: number;
  /** 0 bitter - 1 sweet; 0.35-0.45 a dark ganache, above 0.6 a sweet sauce */
  readonly balance: number;
}

/**
 * Sweetness and its balance with cocoa. Relative sweetness from tables, rounded (published); the balance is judgement.
 *
 * @param mixture the batch
 */
export function taste(mixture: Mixture): Taste {
  const { massG } = mixture;
  const sweetness =
    (100 *
      (mixture.sucroseG +
        0.7 * mixture.glucoseG +
        1.2 * mixture.fructoseG +
        0.4 * mixture.maltoseG +
        0.2 * mixture.lactoseG +
        0.15 * mixture.higherSaccharidesG +
        GLYCEROL_SWEETNESS * mixture.glycerolG +
        POLYOL_NAMES.reduce((sum, name) => sum + POLYOLS[name].sweetness * mixture.polyols[name], 0))) /
    massG;
  const cocoa = (100 * mixture.cocoaSolidsG) / massG;
  return { sweetness, cocoa, balance: sweetness / (sweetness + 3 * cocoa + 1e-6) };
}

/**
 * Alcohol by volume.
 *
 * @param ethanolG g of ethanol
 * @param volumeMl mL it is spread over, above 0
 * @returns % vol
 */
export function alcoholPercentVol(ethanolG: number, volumeMl: number): number {
  return (100 * (ethanolG / ETHANOL_DENSITY)) / volumeMl;
}
