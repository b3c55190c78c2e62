import type { SolidFat } from '../fat/solid-fat';
import type { Mixture } from '../matter/mixture';
import { K } from '../model-constants';
import { sigmoid, softCap2 } from '../smooth';

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
 * Volume share of the batch that is solid fat able to build a network once it has had all its time: milk fat and lauric fat count for less than cocoa butter.
 *
 * @param fatVolumeShare share of the volume that is fat, 0-1
 * @returns 0-1
 */
export function restingNetworkFat(mixture: Mixture, solid: SolidFat, fatVolumeShare: number): number {
  return (
    (fatVolumeShare *
      (mixture.cocoaButterG * solid.cocoaButter +
        K.networkMilkFat * mixture.milkFatG * solid.milkFat +
        K.networkLauricFat * mixture.lauricFatG * solid.lauricFat)) /
    (mixture.fatG + 1e-9 * mixture.massG)
  );
}

/** How kneading weakens a fat set: factor, above 0 to 1. */
export const workedFactor = ({ process }: Mixture): number => 1 - 0.6 * process.worked;

/**
 * How far the fat makes a network at all. Droplets of a cream's own fat that do not touch each other make none: cold cream flows. Cocoa butter and
 * lauric fat bridge them, and so does a crowd of droplets and particles (judgement).
 *
 * @param room volume shares of fat and of particles
 * @returns factor, 0-1
 */
export function bridging(mixture: Mixture, room: { readonly fat: number; readonly particles: number }): number {
  const hard = (mixture.cocoaButterG + mixture.lauricFatG) / (mixture.fatG + 1e-9 * mixture.massG);
  const crowd = room.fat + room.particles - room.fat * room.particles;
  const touching = sigmoid((crowd - K.touchingAt) / K.touchingWidth);
  return 1 - (1 - K.apartNetwork) * (1 - hard) ** 2 * (1 - touching);
}

/**
 * Yield stress that a fat-crystal network of 1 would have in a water-continuous set; it grows with the fourth power of the network. Crowded particles
 * stiffen it only so far (fitted).
 *
 * @param particlePacking packing factor of the particles, 1 or more
 * @returns Pa
 * @see Narine & Marangoni 1999: power law in solid fat, exponent near 4 (published form, fitted numbers)
 */
export function fatNetworkYield(particlePacking: number): number {
  return K.fatYield * softCap2(particlePacking, K.fatYieldMaxPacking) ** K.fatYieldPackingPower;
}
