import { cocoaButterShare } from '../fat/solid-fat';
import type { Phases } from '../flow/phases';
import type { Mixture } from '../matter/mixture';
import type { Dissolved } from '../serum/dissolved';
import type { Serum } from '../serum/viscosity';
import { sigmoid } from '../smooth';

/**
 * Risk that crystals of sugar, polyols and lactose make the batch grainy at this temperature.
 *
 * Read while it is made (40-60 °C) a high value means short of liquid now; at the keeping temperature it means it may turn sandy in days
 * to weeks. Judgement.
 *
 * @returns 0-1
 */
export function grain(mixture: Mixture, dissolved: Dissolved, waterContinuous: number): number {
  const felt =
    (100 / mixture.massG) *
    (mixture.sucroseG -
      dissolved.sucroseG +
      dissolved.soft.polyolCrystalsG +
      0.15 * (mixture.lactoseG - dissolved.lactoseG));
  return waterContinuous * (1 - Math.exp(-felt / 2));
}

/**
 * Risk of fat bloom: solid untempered cocoa butter in a swinging temperature. Judgement.
 *
 * @returns 0-1
 */
export function bloomRisk(mixture: Mixture, solidFatFraction: number, fatShare: number): number {
  const { temper, swingC } = mixture.process;
  const stress = cocoaButterShare(mixture) * solidFatFraction * (1 - temper) * swingC;
  return sigmoid((stress - 2) / 0.7) * (fatShare / (fatShare + 0.2));
}

/**
 * Shine index: an index to be calibrated by what the kitchen sees, all its weights judgement.
 *
 * A dense syrup reflects like glass; soft sugars keep it smooth; a gel film and a fine emulsion help; cocoa roughens; solid fat at the
 * surface, starch, crystals and bloom dull it.
 *
 * @returns 0 dull - 100 mirror
 * @example mirror glaze 87-92, equal-weights ganache warm 50, the same set 31
 */
export function shineIndex(part: {
  mixture: Mixture;
  dissolved: Dissolved;
  serum: Serum;
  phases: Phases;
  networkFat: number;
  grain: number;
  bloom: number;
  seizing: number;
}): number {
  const { mixture, dissolved, serum, phases } = part;
  const { waterContinuous } = phases;
  const asEmulsion =
    -0.3 +
    0.03 * dissolved.brix +
    1.2 * dissolved.soft.doctor +
    0.8 * (1 - Math.exp(-serum.gelatinPercent - 1.5 * serum.gellingPercent)) +
    0.8 * (mixture.process.mix - 0.6) -
    3 * phases.cocoa -
    6 * part.networkFat -
    0.25 * serum.starchPercent -
    2 * part.grain -
    2 * part.bloom;
  const asChocolate = -1 + 3.5 * mixture.process.temper - 3 * part.seizing - 2 * part.bloom;
  const inThisKitchen = mixture.process.learnt?.shine.mean ?? 0;
  return 100 * sigmoid(waterContinuous * asEmulsion + (1 - waterContinuous) * asChocolate + inThisKitchen);
}
