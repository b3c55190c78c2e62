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
  const emulsifier = (mixture.proteinG + 2 * mixture.lecithinG + 0.15 * mixture.cocoaSolidsG) / (fatG + 0.001 * massG);
  const nearSetting = (process.mixTemperatureC - 29) / 4;
  const broken =
    sigmoid(
      (phases.fatCrowding - K.breakingFat) / 0.03 +
        3 * process.overwork * Math.exp(-nearSetting * nearSetting) +
        2 * process.coldCream +
        3 * (0.6 - process.mix) +
        15 * (0.05 - emulsifier) * phases.fat,
    ) *
    (fatG / (fatG + 0.05 * massG)) *
    (1 - outsideFat * part.seizing) *
    ((waterG * waterG) / (waterG * waterG + (0.03 * massG) ** 2));
  const cookedStarchG = mixture.starchG * process.cook;
  return {
    broken: within01(broken),
    seized: within01(outsideFat * part.seizing),
    grainy: within01(part.grain),
    chalky: within01(sigmoid((phases.cocoa - 0.55) / 0.05)),
    gummy: within01(sigmoid((serum.starchPercent + 8 * serum.gumsPercent - 4.5) / 0.7)),
    weeping: within01(
      sigmoid((phases.freeSerum - 0.55) / 0.05) * Math.exp(-part.apparentViscosityPaS / 0.3) +
        0.5 * sigmoid((serum.starchPercent - 3) / 0.5) * sigmoid((8 - temperatureC) / 2),
    ),
    skin: within01(
      sigmoid((part.waterActivity - 0.88) / 0.03) *
        sigmoid(((100 * (mixture.proteinG + cookedStarchG)) / massG - 1.5) / 0.5) *
        (1 - process.covered),
    ),
    bloom: within01(part.bloom),
  };
}
