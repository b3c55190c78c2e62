import type { Climate } from '../matter/climate';
import type { Mixture } from '../matter/mixture';
import { K } from '../model-constants';
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

/** Where the fats of a blend melt, °C, and how the cocoa butter crystallises: the same at every temperature. */
export interface MeltingRange {
  /** midpoint of its unstable form; the stable one melts higher */
  readonly cocoaButterC: number;
  /** share of the cocoa butter in its stable form: seeded, or what a day's rest makes by itself */
  readonly stableShare: number;
  readonly lauricFatC: number;
}

/**
 * Midpoints of melting after the fats have softened each other, and how much of the cocoa butter is in its stable form.
 *
 * @param mixture the batch, for its fats and tempering
 */
export function meltingRange(mixture: Mixture): MeltingRange {
  const { temper } = mixture.process;
  const lauricShare = mixture.lauricFatG / (mixture.fatG + 2e-9 * mixture.massG);
  return {
    cocoaButterC:
      K.meltCocoaButter - K.softeningDilution * (1 - cocoaButterShare(mixture)) - K.softeningEutectic * lauricShare,
    stableShare: temper + (1 - temper) * K.stableUnseeded,
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
 * @example pure cocoa butter at 20 °C: 0.68 after a day's rest by itself; tempered: 0.86
 */
export function solidFat(mixture: Mixture, range: MeltingRange, climate: Climate): SolidFat {
  const { temperatureC } = climate;
  return {
    cocoaButter: mixture.cocoaButterG > 0 ? solidCocoaButter(range, temperatureC) : 0,
    milkFat: mixture.milkFatG > 0 ? climate.milkFatSolid : 0,
    lauricFat:
      mixture.lauricFatG > 0 ? K.solidLauricFat * sigmoid((range.lauricFatC - temperatureC) / K.widthLauricFat) : 0,
  };
}

/** Share of cocoa butter that is solid at rest: two crystal forms side by side, so that the set near 20-24 °C is gentler than of one; nothing stays solid past the end of melting. */
function solidCocoaButter({ cocoaButterC, stableShare }: MeltingRange, temperatureC: number): number {
  const unstable = sigmoid((cocoaButterC - temperatureC) / K.widthCocoaButter);
  const stable = sigmoid(
    (cocoaButterC + K.meltCocoaButterTempered - temperatureC) / (K.widthCocoaButter - K.widthCocoaButterTempered),
  );
  const melts = sigmoid((cocoaButterC - K.meltCocoaButter + K.meltEndCocoaButter - temperatureC) / K.meltEndWidth);
  return K.solidCocoaButter * ((1 - stableShare) * unstable + stableShare * stable) * melts;
}

/** Share of milk fat that is solid at rest: the same in every blend. */
export function milkFatSolid(temperatureC: number): number {
  return K.solidMilkFat * sigmoid((K.meltMilkFat - temperatureC) / K.widthMilkFat);
}
