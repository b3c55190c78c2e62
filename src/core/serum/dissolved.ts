import type { Climate } from '../matter/climate';
import type { Mixture } from '../matter/mixture';
import { NO_POLYOLS, POLYOL_NAMES, type PolyolName, polyolSolubility, SUPERSATURATES } from '../matter/polyols';
import { K } from '../model-constants';
import { softCap24 } from '../smooth';

/** The soft sugars in solution. Grams in the batch. */
export interface SoftSugars {
  /** soft sugars, glycerol and polyols in solution */
  readonly dissolvedG: number;
  /** share of glucose, fructose, maltose and higher saccharides that is in solution */
  readonly share: number;
  /** share of each polyol that is in solution; glycerol, a liquid, always is */
  readonly polyolShare: Readonly<Record<PolyolName, number>> | undefined;
  /** polyols that crystallise */
  readonly polyolCrystalsG: number;
  /** soft sugars over all sugars: what keeps the rest from crystallising */
  readonly doctor: number;
  /** sucrose that would saturate the water, over what pure water takes */
  readonly sucroseFactor: number;
}

/** The water as a solvent: the same at every temperature. Grams in the batch. */
export interface Solvent {
  /** water free to dissolve things, after what cocoa, protein and starch bind */
  readonly solventWaterG: number;
  /** the soft sugars where no polyol makes them depend on temperature */
  readonly steadySoft: SoftSugars | undefined;
}

/** What the water of a batch holds in solution at one temperature. Grams in the batch. */
export interface Dissolved {
  readonly solvent: Solvent;
  readonly soft: SoftSugars;
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

/** Polyols one by one: each is limited by its own solubility, as if it were alone in the water (J). */
function dissolvePolyols(mixture: Mixture, solventWaterG: number, temperatureC: number) {
  const share = { ...NO_POLYOLS };
  let dissolvedG = 0;
  for (const name of POLYOL_NAMES) {
    const grams = mixture.polyols[name];
    const limited = grams > 0 && name !== SUPERSATURATES;
    const held = limited
      ? softCap24(grams / solventWaterG, polyolSolubility(name, temperatureC)) * solventWaterG
      : grams;
    share[name] = grams > 0 ? held / grams : 1;
    dissolvedG += held;
  }
  return { share, dissolvedG };
}

/**
 * What of the soft sugars is in solution: polyols by their own solubility, then all solids together by {@link SOFT_SUGAR_LIMIT}.
 *
 * @param mixture the batch
 * @param solventWaterG g, above 0
 * @param temperatureC 0-95 °C, felt only by polyols
 */
function softSugars(mixture: Mixture, solventWaterG: number, temperatureC: number): SoftSugars {
  const { sugarsG, softSugarsG, glycerolG, solidPolyolG, massG } = mixture;
  const polyols = solidPolyolG > 0 ? dissolvePolyols(mixture, solventWaterG, temperatureC) : undefined;
  const polyolCrystalsG = polyols ? Math.max(solidPolyolG - polyols.dissolvedG, 0) : 0;
  const solidsG = softSugarsG - glycerolG - polyolCrystalsG;
  const solidsDissolvedG = softCap24(solidsG / solventWaterG, SOFT_SUGAR_LIMIT) * solventWaterG;
  const share = solidsG > 0 ? solidsDissolvedG / solidsG : 1;
  const dissolvedG = solidsDissolvedG + glycerolG;
  const doctor = (softSugarsG - polyolCrystalsG) / (sugarsG + 1e-9 * massG);
  if (polyols) for (const name of POLYOL_NAMES) polyols.share[name] *= share;
  return {
    dissolvedG,
    share,
    polyolShare: polyols?.share,
    polyolCrystalsG,
    doctor,
    sucroseFactor:
      Math.exp((-SUCROSE_DEPRESSION * dissolvedG) / solventWaterG) *
      (SUCROSE_SUPERSATURATION + SUCROSE_SUPERSATURATION_DOCTOR * doctor),
  };
}

/**
 * The water left as a solvent by what cocoa, protein and starch bind.
 *
 * Bound water: judgement (sugar competes for water, as sorption isotherms flatten at low water activity).
 *
 * @param mixture the batch
 */
export function solvent(mixture: Mixture): Solvent {
  const { waterG, sugarsG, solidPolyolG } = mixture;
  const bound =
    ((K.boundByCocoa * mixture.cocoaSolidsG + K.boundByProtein * mixture.proteinG + K.boundByStarch * mixture.starchG) *
      waterG) /
    (waterG + sugarsG);
  const solventWaterG = (waterG * waterG) / (waterG + bound);
  return { solventWaterG, steadySoft: solidPolyolG > 0 ? undefined : softSugars(mixture, solventWaterG, 20) };
}

/**
 * Shares the sugars between solution and crystals at one temperature; limits as in the constants above.
 *
 * @param mixture the batch
 * @param water its solvent, from {@link solvent}
 * @param climate temperature and history
 */
export function dissolve(mixture: Mixture, water: Solvent, climate: Climate): Dissolved {
  const { solventWaterG } = water;
  const soft = water.steadySoft ?? softSugars(mixture, solventWaterG, climate.temperatureC);
  const sucroseLimit = climate.sucroseSolubility * soft.sucroseFactor + 1e-6;
  const sucroseG = softCap24(mixture.sucroseG / solventWaterG, sucroseLimit) * solventWaterG;
  const lactoseLimit =
    LACTOSE_SUPERSATURATION * climate.lactoseSolubility * Math.exp((-LACTOSE_DEPRESSION * sucroseG) / solventWaterG);
  const lactoseG = softCap24(mixture.lactoseG / solventWaterG, lactoseLimit) * solventWaterG;

  const dissolvedG = sucroseG + lactoseG + soft.dissolvedG;
  return {
    solvent: water,
    soft,
    sucroseG,
    lactoseG,
    crystalsG: Math.max(mixture.sugarsG - dissolvedG, 0),
    sugarsG: dissolvedG,
    brix: (100 * dissolvedG) / (solventWaterG + dissolvedG + mixture.ethanolG),
  };
}
