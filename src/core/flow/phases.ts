import type { Mixture } from '../matter/mixture';
import { K } from '../model-constants';
import type { Dissolved } from '../serum/dissolved';
import { positivePart, sigmoid } from '../smooth';

/** Who takes up how much room: serum, swollen particles, fat droplets, and how tightly they are packed. */
export interface Phases {
  /** mL in the batch */
  readonly volumeMl: number;
  /** kg/m³, air not counted */
  readonly densityKgM3: number;
  /** share of the volume that is fat */
  readonly fat: number;
  /** share of the fat-free volume that is swollen particles, crystals and inert filler */
  readonly particles: number;
  /** share of the fat-free volume that is swollen cocoa */
  readonly cocoa: number;
  /** fat over fat and free serum: near 0.76 the emulsion inverts */
  readonly fatCrowding: number;
  /** share of the volume that is serum no particle holds */
  readonly freeSerum: number;
  /** serum without sugar crystals, mL in the batch */
  readonly serumMl: number;
  /** packing factor of the particles, 1 or more */
  readonly particlePacking: number;
  /** packing factor of the droplets, 1 or more */
  readonly dropletPacking: number;
  /** 1 where water surrounds the fat, 0 where fat surrounds everything */
  readonly waterContinuous: number;
}

/**
 * How much a crowd of particles thickens what they float in.
 *
 * @param share volume share, 0-1
 * @param densest share at which they jam
 * @returns factor on the viscosity, 1 when there are none, finite (about 280) when jammed
 * @see Maron & Pierce 1956; Quemada 1977 (published form; the softened jam is ours)
 */
export function packingFactor(share: number, densest: number): number {
  const ratio = positivePart(1, K.jamSoftness) / positivePart(1 - share / densest, K.jamSoftness);
  return ratio * ratio;
}

/**
 * Volumes and packing of a batch at one temperature.
 *
 * Two size classes multiply (Farris 1968, published). Swelling: cocoa and protein fitted, starch judgement. Inert filler is packed with the
 * particles (judgement).
 *
 * @param mixture the batch
 * @param dissolved what its water holds at this temperature
 */
export function phases(mixture: Mixture, dissolved: Dissolved): Phases {
  const { massG, process } = mixture;
  const fatMl = K.vFat * mixture.fatG;
  const serumMl =
    mixture.waterG +
    K.vSugar * dissolved.sugarsG +
    K.vEthanol * mixture.ethanolG +
    K.vMinerals * (mixture.saltG + mixture.mineralsG) +
    K.vGelling * (mixture.gelatinG + mixture.pectinG + mixture.agarG + mixture.gumsG) +
    K.vAcids * mixture.acidsG;
  const dryMl =
    K.vCocoaSolids * mixture.cocoaSolidsG +
    K.vProtein * mixture.proteinG +
    K.vStarch * mixture.starchG +
    K.vCrystal * dissolved.crystalsG +
    K.vInert * mixture.inertG;
  const volumeMl = fatMl + serumMl + dryMl;
  const fatFreeMl = fatMl < volumeMl ? volumeMl - fatMl : 1e-9 * volumeMl;

  const cookedStarchG = mixture.starchG * process.cook;
  const cocoaUptakeMl = K.uptakeCocoa * (1 + K.uptakeCocoaCooked * process.cook) * mixture.cocoaSolidsG;
  const starchUptakeMl =
    K.uptakeRawStarch * (mixture.starchG - cookedStarchG) +
    K.swellingStarch * cookedStarchG * (1 - (K.swellingStarchSugar * dissolved.brix) / 100);
  const wantedMl = cocoaUptakeMl + K.uptakeProtein * mixture.proteinG + starchUptakeMl;
  const thirst = wantedMl / serumMl;
  const granted = 1 / Math.sqrt(1 + thirst * thirst);
  const takenMl = wantedMl * granted;
  const freeMl = serumMl - takenMl;

  const fat = fatMl / volumeMl;
  const particles = (dryMl + takenMl) / fatFreeMl;
  const fatCrowding = fatMl / (fatMl + freeMl);
  return {
    volumeMl,
    densityKgM3: (1000 * massG) / volumeMl,
    fat,
    particles,
    cocoa: (K.vCocoaSolids * mixture.cocoaSolidsG + cocoaUptakeMl * granted) / fatFreeMl,
    fatCrowding,
    freeSerum: freeMl / volumeMl,
    serumMl,
    particlePacking: packingFactor(particles, K.maxPackingParticles),
    dropletPacking: packingFactor(fat, K.maxPackingDroplets),
    waterContinuous: sigmoid((K.inversionFat - fatCrowding) / K.inversionWidth),
  };
}
