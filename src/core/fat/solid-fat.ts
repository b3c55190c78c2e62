import type { Mixture } from '../matter/mixture';
import { K } from '../model-constants';
import type { Climate } from '../predict/climate';
import { sigmoid } from '../smooth';

/** Share of each fat that is solid once it has had all the time it wants. */
export interface SolidFat {
  readonly cocoaButter: number;
  readonly milkFat: number;
  readonly lauricFat: number;
}

/**
 * Cocoa butter's share of all fat. A formula without fat reads 0.5 by construction: do not show it.
 *
 * @returns 0-1
 */
export function cocoaButterShare(mixture: Mixture): number {
  const trace = 1e-9 * mixture.massG;
  return (mixture.cocoaButterG + trace) / (mixture.fatG + 2 * trace);
}

/** Where the fats of a blend melt, °C: the same at every temperature. */
export interface MeltingRange {
  readonly cocoaButterC: number;
  readonly cocoaButterWidthC: number;
  readonly lauricFatC: number;
}

/**
 * Midpoints and width of melting after the fats have softened each other and tempering has hardened the cocoa butter.
 *
 * @param mixture the batch, for its fats and tempering
 */
export function meltingRange(mixture: Mixture): MeltingRange {
  const { temper } = mixture.process;
  const lauricShare = mixture.lauricFatG / (mixture.fatG + 2e-9 * mixture.massG);
  return {
    cocoaButterC:
      K.meltCocoaButter +
      K.meltCocoaButterTempered * temper -
      K.softeningDilution * (1 - cocoaButterShare(mixture)) -
      K.softeningEutectic * lauricShare,
    cocoaButterWidthC: K.widthCocoaButter - K.widthCocoaButterTempered * temper,
    lauricFatC: K.meltLauricFat - K.softeningLauric * (1 - lauricShare),
  };
}

/**
 * Solid share of each fat in this blend at one temperature, at rest.
 *
 * Logistic fits to handbook solid-fat curves (published values, rounded fits). Softening on mixing: ideal-solubility behaviour (Timms
 * 1980, 1984), its size fitted; cocoa butter with lauric fat: eutectic, judgement.
 *
 * @param mixture the batch, for which fats it holds
 * @param range from {@link meltingRange}
 * @param climate temperature, 0-60 °C
 * @example pure cocoa butter untempered at 20 °C: 0.64; tempered: 0.86
 */
export function solidFat(mixture: Mixture, range: MeltingRange, climate: Climate): SolidFat {
  const { temperatureC } = climate;
  return {
    cocoaButter:
      mixture.cocoaButterG > 0
        ? K.solidCocoaButter * sigmoid((range.cocoaButterC - temperatureC) / range.cocoaButterWidthC)
        : 0,
    milkFat: mixture.milkFatG > 0 ? climate.milkFatSolid : 0,
    lauricFat:
      mixture.lauricFatG > 0 ? K.solidLauricFat * sigmoid((range.lauricFatC - temperatureC) / K.widthLauricFat) : 0,
  };
}

/** Share of milk fat that is solid at rest: the same in every blend. */
export function milkFatSolid(temperatureC: number): number {
  return K.solidMilkFat * sigmoid((K.meltMilkFat - temperatureC) / K.widthMilkFat);
}
