import type { SolidFat } from '../fat/solid-fat';
import type { Mixture } from '../matter/mixture';
import { K } from '../model-constants';
import { halfPower } from '../smooth';

/**
 * Share of all fat that is solid now.
 *
 * @param mixture the batch
 * @param solid solid share of each fat at rest
 * @param crystallised how far they have come, 0-1
 * @returns 0-1
 */
export function solidFatFraction(mixture: Mixture, solid: SolidFat, crystallised: number): number {
  return (
    (crystallised *
      (mixture.cocoaButterG * solid.cocoaButter +
        mixture.milkFatG * solid.milkFat +
        mixture.lauricFatG * solid.lauricFat)) /
    (mixture.fatG + 1e-9 * mixture.massG)
  );
}

/**
 * Volume share of the batch that is solid fat able to build a network: milk fat and lauric fat count for less than cocoa butter.
 *
 * @param fatVolumeShare share of the volume that is fat, 0-1
 * @returns 0-1
 */
export function networkFat(mixture: Mixture, solid: SolidFat, crystallised: number, fatVolumeShare: number): number {
  return (
    (fatVolumeShare *
      crystallised *
      (mixture.cocoaButterG * solid.cocoaButter +
        K.networkMilkFat * mixture.milkFatG * solid.milkFat +
        K.networkLauricFat * mixture.lauricFatG * solid.lauricFat)) /
    (mixture.fatG + 1e-9 * mixture.massG)
  );
}

/**
 * How kneading and this kitchen's cold offset change a fat set.
 *
 * @returns factor, above 0
 */
export function workedFactor(mixture: Mixture): number {
  return (1 - 0.6 * mixture.process.worked) * Math.exp(mixture.process.coldOffset);
}

/**
 * Yield stress of the fat-crystal network of a water-continuous set.
 *
 * @param network volume share from {@link networkFat}, 0-1
 * @param particlePacking packing factor of the particles, 1 or more
 * @param worked factor from {@link workedFactor}
 * @returns Pa
 * @see Narine & Marangoni 1999: power law in solid fat, exponent near 4 (published form, fitted numbers)
 */
export function fatNetworkYield(network: number, particlePacking: number, worked: number): number {
  return K.fatYield * halfPower(network + 1e-9, K.fatYieldPower) * particlePacking ** K.fatYieldPackingPower * worked;
}
