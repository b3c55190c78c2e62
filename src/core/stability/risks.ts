import type { Phases } from '../flow/phases';
import type { Mixture } from '../matter/mixture';
import { K } from '../model-constants';
import type { Serum } from '../serum/viscosity';
import { sigmoid } from '../smooth';

/** What can go wrong, 0 (no sign of it) to 1. Judgement: below 0.2 low, to 0.5 watch, above likely. */
export interface Risks {
  /** oily, curdled: the emulsion gives its fat back */
  readonly broken: number;
  /** stiff and dull: a little water glued the sugar of melted chocolate */
  readonly seized: number;
  /** grains of sugar */
  readonly grainy: number;
  /** too much cocoa for the liquid */
  readonly chalky: number;
  /** gluey from starch or gum */
  readonly gummy: number;
  /** gives off liquid */
  readonly weeping: number;
  /** dries to a skin when left uncovered */
  readonly skin: number;
  /** grey film of fat */
  readonly bloom: number;
}

/** A risk grows from low to likely around a middle, over about four widths (J). */
interface Onset {
  readonly at: number;
  readonly width: number;
}

const grows = (value: number, { at, width }: Onset) => sigmoid((value - at) / width);
const shrinks = (value: number, { at, width }: Onset) => sigmoid((at - value) / width);

/** Breaking: crowding of the fat (its middle is shared), and what adds to it in units of the logistic (J). */
const CROWDING_WIDTH = 0.03;
const OVERWORK = { near: 29, widthC: 4, adds: 3 };
const COLD_CREAM_ADDS = 2;
const MIX = { good: 0.6, adds: 3 };
/** What holds the droplets, per gram of fat: proteins, lecithin twice, cocoa solids a little (J). */
const EMULSIFIER = { enough: 0.05, adds: 15, lecithin: 2, cocoaSolids: 0.15, traceFat: 0.001 };
/** A batch breaks only with fat and water to part: shares of the mass at which half of the risk counts (J). */
const FAT_TO_PART = 0.05;
const WATER_TO_PART = 0.03;
const CHALKY: Onset = { at: 0.55, width: 0.05 };
/** Per cent of cooked starch in the serum; a gum counts as eight times as much. */
const GUMMY: Onset = { at: 4.5, width: 0.7 };
const GUM_AS_STARCH = 8;
/** Weeping: free serum of a thin batch, Pa·s; cooked starch in the cold, half as likely. */
const FREE_SERUM: Onset = { at: 0.55, width: 0.05 };
const THIN_PAS = 0.3;
const COLD_STARCH = { share: 0.5, percent: { at: 3, width: 0.5 }, belowC: { at: 8, width: 2 } };
/** A skin: water activity at the surface, and per cent of protein and cooked starch to make it of. */
const DRYING: Onset = { at: 0.88, width: 0.03 };
const SKIN_MATTER: Onset = { at: 1.5, width: 0.5 };

/** Rounding can leave a risk a hair outside its range. */
function within01(risk: number): number {
  return Math.min(Math.max(risk, 0), 1);
}

/**
 * Risks of a batch at one temperature.
 *
 * @param part the batch and its state: `grain` and `bloom` from the shine index, `seizing` from the fat-continuous branch,
 * `apparentViscosityPaS` at a slow stir, `waterActivity` 0-1
 * @param temperatureC °C
 */
export function risks(
  part: {
    mixture: Mixture;
    serum: Serum;
    phases: Phases;
    grain: number;
    bloom: number;
    seizing: number;
    apparentViscosityPaS: number;
    waterActivity: number;
  },
  temperatureC: number,
): Risks {
  const { mixture, serum, phases } = part;
  const { massG, fatG, waterG, process } = mixture;
  const outsideFat = 1 - phases.waterContinuous;
  const emulsifier =
    (mixture.proteinG + EMULSIFIER.lecithin * mixture.lecithinG + EMULSIFIER.cocoaSolids * mixture.cocoaSolidsG) /
    (fatG + EMULSIFIER.traceFat * massG);
  const nearSetting = (process.mixTemperatureC - OVERWORK.near) / OVERWORK.widthC;
  const broken =
    sigmoid(
      (phases.fatCrowding - K.breakingFat) / CROWDING_WIDTH +
        OVERWORK.adds * process.overwork * Math.exp(-nearSetting * nearSetting) +
        COLD_CREAM_ADDS * process.coldCream +
        MIX.adds * (MIX.good - process.mix) +
        EMULSIFIER.adds * (EMULSIFIER.enough - emulsifier) * phases.fat,
    ) *
    (fatG / (fatG + FAT_TO_PART * massG)) *
    (1 - outsideFat * part.seizing) *
    ((waterG * waterG) / (waterG * waterG + (WATER_TO_PART * massG) ** 2));
  const cookedStarchG = mixture.starchG * process.cook;
  return {
    broken: within01(broken),
    seized: within01(outsideFat * part.seizing),
    grainy: within01(part.grain),
    chalky: within01(grows(phases.cocoa, CHALKY)),
    gummy: within01(grows(serum.starchPercent + GUM_AS_STARCH * serum.gumsPercent, GUMMY)),
    weeping: within01(
      grows(phases.freeSerum, FREE_SERUM) * Math.exp(-part.apparentViscosityPaS / THIN_PAS) +
        COLD_STARCH.share * grows(serum.starchPercent, COLD_STARCH.percent) * shrinks(temperatureC, COLD_STARCH.belowC),
    ),
    skin: within01(
      grows(part.waterActivity, DRYING) *
        grows((100 * (mixture.proteinG + cookedStarchG)) / massG, SKIN_MATTER) *
        (1 - process.covered),
    ),
    bloom: within01(part.bloom),
  };
}
