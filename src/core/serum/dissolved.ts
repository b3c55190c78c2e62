import type { Mixture } from '../matter/mixture';
import { K } from '../model-constants';
import { softCap24 } from '../smooth';

/** The water as a solvent and the soft sugars in it: the same at every temperature. Grams in the batch. */
export interface Solvent {
  /** water free to dissolve things, after what cocoa, protein and starch bind */
  readonly solventWaterG: number;
  /** soft sugars and polyols in solution */
  readonly softSugarsG: number;
  /** share of the solid soft sugars that is in solution; glycerol, a liquid, always is */
  readonly softShare: number;
  /** soft sugars over all sugars: what keeps the rest from crystallising */
  readonly doctor: number;
  /** sucrose that would saturate the water, over what pure water takes */
  readonly sucroseFactor: number;
}

/** What the water of a batch holds in solution at one temperature. Grams in the batch. */
export interface Dissolved {
  readonly solvent: Solvent;
  readonly sucroseG: number;
  readonly lactoseG: number;
  /** sugars that found no water */
  readonly crystalsG: number;
  /** all sugars in solution */
  readonly sugarsG: number;
  /** g of sugars in 100 g of sugars, solvent water and alcohol */
  readonly brix: number;
}

/** Grams of soft sugars a gram of water can hold (J). */
const SOFT_SUGAR_LIMIT = 9;
/** Sucrose solubility lost per g of soft sugar in a g of water (P, sugar-technology coefficient). */
const SUCROSE_DEPRESSION = 0.09;
/** Supersaturation of sucrose that survives days, plain and with soft sugars beside it (J). */
const SUCROSE_SUPERSATURATION = 1.1;
const SUCROSE_SUPERSATURATION_DOCTOR = 0.3;
/** Supersaturation of lactose that survives (P, Hartel: labile limit). */
const LACTOSE_SUPERSATURATION = 2.1;
/** Lactose solubility lost per g of sucrose in a g of water (P, after Nickerson & Moore 1972). */
const LACTOSE_DEPRESSION = 0.35;

/**
 * Grams of sucrose that saturate one gram of water.
 *
 * @param temperatureC 0-90 °C
 * @returns g per g
 * @see Charles 1960 (published)
 * @example sucroseSolubility(20) // 1.99
 */
export function sucroseSolubility(temperatureC: number): number {
  const t = temperatureC;
  const share = (64.397 + t * (0.07251 + t * (0.0020569 - 9.035e-6 * t))) / 100;
  return share / (1 - share);
}

/**
 * Grams of lactose that saturate one gram of water.
 *
 * @param temperatureC 0-64 °C
 * @returns g per g
 * @see handbook values, exponential fit
 */
export function lactoseSolubility(temperatureC: number): number {
  return 0.119 * Math.exp(0.0259 * temperatureC);
}

/**
 * The solvent water and what of the soft sugars it takes up.
 *
 * Bound water: judgement (sugar competes for water, as sorption isotherms flatten at low water activity).
 *
 * @param mixture the batch
 */
export function solvent(mixture: Mixture): Solvent {
  const { waterG, sugarsG, softSugarsG, glycerolG, massG } = mixture;
  const bound =
    ((K.boundByCocoa * mixture.cocoaSolidsG + K.boundByProtein * mixture.proteinG + K.boundByStarch * mixture.starchG) *
      waterG) /
    (waterG + sugarsG);
  const solventWaterG = (waterG * waterG) / (waterG + bound);
  const doctor = softSugarsG / (sugarsG + 1e-9 * massG);

  const softSolidsG = softSugarsG - glycerolG;
  const softSolidsDissolvedG = softCap24(softSolidsG / solventWaterG, SOFT_SUGAR_LIMIT) * solventWaterG;
  const softShare = softSolidsG > 0 ? softSolidsDissolvedG / softSolidsG : 1;
  const softDissolvedG = softSolidsDissolvedG + glycerolG;
  return {
    solventWaterG,
    softSugarsG: softDissolvedG,
    softShare,
    doctor,
    sucroseFactor:
      Math.exp((-SUCROSE_DEPRESSION * softDissolvedG) / solventWaterG) *
      (SUCROSE_SUPERSATURATION + SUCROSE_SUPERSATURATION_DOCTOR * doctor),
  };
}

/**
 * Shares the sugars between solution and crystals at one temperature; limits as in the constants above.
 *
 * @param mixture the batch
 * @param water its solvent, from {@link solvent}
 * @param temperatureC 0-95 °C
 */
export function dissolve(mixture: Mixture, water: Solvent, temperatureC: number): Dissolved {
  const { solventWaterG } = water;
  const sucroseLimit = sucroseSolubility(temperatureC) * water.sucroseFactor + 1e-6;
  const sucroseG = softCap24(mixture.sucroseG / solventWaterG, sucroseLimit) * solventWaterG;
  const lactoseLimit =
    LACTOSE_SUPERSATURATION *
    lactoseSolubility(temperatureC) *
    Math.exp((-LACTOSE_DEPRESSION * sucroseG) / solventWaterG);
  const lactoseG = softCap24(mixture.lactoseG / solventWaterG, lactoseLimit) * solventWaterG;

  const dissolvedG = sucroseG + lactoseG + water.softSugarsG;
  return {
    solvent: water,
    sucroseG,
    lactoseG,
    crystalsG: Math.max(mixture.sugarsG - dissolvedG, 0),
    sugarsG: dissolvedG,
    brix: (100 * dissolvedG) / (solventWaterG + dissolvedG + mixture.ethanolG),
  };
}
