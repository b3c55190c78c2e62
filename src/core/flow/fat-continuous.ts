import type { Mixture } from '../matter/mixture';
import { K } from '../model-constants';
import { sigmoid } from '../smooth';
import { packingFactor } from './phases';

/** The same batch if fat surrounded everything: chocolate, or chocolate that water has seized. The same at every temperature. */
export interface FatContinuous {
  /** Pa·s at 40 °C */
  readonly plasticViscosityAt40PaS: number;
  /** Pa, before any fat has set */
  readonly warmYieldPa: number;
  /** 0 free-flowing, 1 glued by syrup bridges */
  readonly seizing: number;
}

/**
 * Viscosity, warm yield stress and seizing of the fat-continuous branch.
 *
 * Cocoa butter about 45 mPa·s at 40 °C (published); packing, yield and seizing judgement: onset at about 2 % water, gone once water
 * surrounds the fat (about 15 %). Coarse: lecithin does not thin it here.
 *
 * @param mixture the batch
 */
export function fatContinuous(mixture: Mixture): FatContinuous {
  const { waterG, fatG, massG } = mixture;
  const solidsG = mixture.sugarsG + mixture.cocoaSolidsG + mixture.proteinG + mixture.starchG + mixture.inertG;
  const solidsMl =
    K.vCrystal * mixture.sugarsG +
    K.vCocoaSolids * mixture.cocoaSolidsG +
    K.vProtein * mixture.proteinG +
    K.vStarch * mixture.starchG +
    K.vInert * mixture.inertG +
    waterG +
    K.vEthanol * mixture.ethanolG;
  const trace = 1e-9 * massG;
  const share = solidsMl / (solidsMl + K.vFat * fatG + trace);
  const wetness = waterG / (solidsG + trace + 0.02 * massG);
  const seizing = (1 - Math.exp(-((wetness / K.seizeOnset) ** 6))) * sigmoid((share - 0.45) / 0.02);
  return {
    plasticViscosityAt40PaS: 0.045 * packingFactor(share, K.maxPackingInFat),
    warmYieldPa: K.yieldInFat * share ** K.yieldInFatPower + K.seizeYield * seizing,
    seizing,
  };
}

/** Viscosity of the fat-continuous branch beside that at 40 °C: falls by 3 % a degree. */
export function inFatColdFactor(temperatureC: number): number {
  return Math.exp(-0.03 * (temperatureC - 40));
}
