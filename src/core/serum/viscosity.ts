import type { Climate } from '../matter/climate';
import type { Mixture } from '../matter/mixture';
import { RARE_SUGARS } from '../matter/polyols';
import { K } from '../model-constants';
import { softCap4, softCap24 } from '../smooth';
import type { Dissolved } from './dissolved';

/** The liquid between particles and droplets: its viscosity and the thickeners in it. */
export interface Serum {
  /** Pa·s */
  readonly viscosityPaS: number;
  /** gelatin, pectin (% of the serum) and gums (% of its water), levelled off where the laws end */
  readonly gelatinPercent: number;
  readonly pectinPercent: number;
  /** what sets as pectin does, % of the serum: pectin, and agar as three times its weight */
  readonly gellingPercent: number;
  readonly gumsPercent: number;
  /** gelatinised starch, % of the serum */
  readonly starchPercent: number;
}

const SUCROSE_MOLAR_MASS = 342.3;
const WATER_MOLAR_MASS = 18.015;
/** Grams of pectin that gel as one gram of agar does (J). */
const AGAR_AS_PECTIN = 3;
/** Mole fraction of sucrose beyond which the law is not followed (J). */
const MOLE_FRACTION_LIMIT = 0.3;
/** Per cent of the serum from where more of a helper thickens no further (J). */
const MOST_PERCENT = { gelatin: 20, pectin: 6, agar: 6, gelling: 6, gums: 5 };
/** ln of the viscosity by share of alcohol in water: slope at none, and as much back with the square (fit to tables). */
const ALCOHOL_THICKENS = 4.8;
/** ln of the viscosity, per cent of gelatin or hot agar (fit to tables). */
const GELATIN_THICKENS = 0.3;
const AGAR_THICKENS = 0.3;
/** Pectin in the Martin form: 1 + slope x % x exp(bend x %) (fit to tables). */
const PECTIN_SLOPE = 4;
const PECTIN_BEND = 1.8;
/** Pa·s per cent of gum (fit to xanthan at a slow stir). */
const GUM_THICKENS = 0.06;

/**
 * Viscosity of a sucrose solution.
 *
 * @param moleFraction sucrose in sucrose and water, 0-0.1 in the data (75 % by weight), used beyond for syrups
 * @param temperatureC 0-80 °C
 * @returns Pa·s
 * @see Genotelle 1978, quoted by Mathlouthi & Reiser 1995 (published)
 */
export function sucroseSolutionViscosity(moleFraction: number, temperatureC: number): number {
  return viscosityAtReduced(moleFraction, reducedTemperature(temperatureC));
}

/** Temperature as the sugar-solution law counts it. */
export function reducedTemperature(temperatureC: number): number {
  return (30 - temperatureC) / (91 + temperatureC);
}

/** The law of {@link sucroseSolutionViscosity} at a reduced temperature; the power 1.25 by roots. */
function viscosityAtReduced(moleFraction: number, reduced: number): number {
  const power = moleFraction * Math.sqrt(Math.sqrt(moleFraction));
  return 1e-3 * Math.exp(Math.LN10 * (22.46 * moleFraction - 0.114 + reduced * (1.1 + 43.1 * power)));
}

/**
 * Viscosity of the serum: a sucrose solution in which other sugars count as more or less sucrose, multiplied for alcohol,
 * gelatin, pectin and (hardly, while it is hot) agar, with gums added.
 *
 * Published: sucrose law, alcohol (fit to tables at 20 °C up to 45 % by weight). Fitted to tables: gelatin 0-7 %, pectin
 * 0-1.5 % (Martin form), gums as xanthan 0-0.5 %.
 *
 * @param mixture the batch
 * @param dissolved what its water holds at this temperature
 * @param climate temperature and history
 */
export function serum(mixture: Mixture, dissolved: Dissolved, climate: Climate): Serum {
  const { solventWaterG } = dissolved.solvent;
  const { share: softShare, polyolShare, polyolCrystalsG } = dissolved.soft;
  const rareG = polyolShare ? RARE_SUGARS.reduce((sum, name) => sum + polyolShare[name] * mixture.polyols[name], 0) : 0;
  const polyolG = polyolShare ? softShare * (mixture.solidPolyolG - polyolCrystalsG) - rareG : 0;
  const asSucroseG =
    dissolved.sucroseG +
    K.asSucroseLactose * dissolved.lactoseG +
    softShare *
      (K.asSucroseGlucose * mixture.glucoseG +
        K.asSucroseFructose * mixture.fructoseG +
        K.asSucroseMaltose * mixture.maltoseG +
        K.asSucroseHigher * mixture.higherSaccharidesG) +
    K.asSucrosePolyol * (polyolG + mixture.glycerolG) +
    K.asSucroseRare * rareG;
  const sucroseMoles = asSucroseG / SUCROSE_MOLAR_MASS;
  const moleFraction = softCap24(
    sucroseMoles / (sucroseMoles + solventWaterG / WATER_MOLAR_MASS) + 1e-9,
    MOLE_FRACTION_LIMIT,
  );

  const { ethanolG, gelatinG, pectinG, agarG, gumsG, saltG, mineralsG, acidsG, starchG, process } = mixture;
  const gellingG = gelatinG + pectinG + agarG + gumsG;
  const serumG = solventWaterG + dissolved.sugarsG + ethanolG + gellingG + saltG + mineralsG + acidsG;
  const gelatinPercent = softCap4((100 * gelatinG) / serumG, MOST_PERCENT.gelatin);
  const pectinPercent = softCap4((100 * pectinG) / serumG, MOST_PERCENT.pectin);
  const agarPercent = softCap4((100 * agarG) / serumG, MOST_PERCENT.agar);
  const gellingPercent = softCap4((100 * (pectinG + AGAR_AS_PECTIN * agarG)) / serumG, MOST_PERCENT.gelling);
  const gumsPercent = softCap4((100 * gumsG) / (solventWaterG + ethanolG), MOST_PERCENT.gums);

  let viscosityPaS = viscosityAtReduced(moleFraction, climate.reducedTemperature);
  if (ethanolG > 0) {
    const alcohol = ethanolG / (ethanolG + solventWaterG);
    viscosityPaS *= Math.exp(ALCOHOL_THICKENS * (alcohol - alcohol * alcohol));
  }
  if (gelatinG > 0) viscosityPaS *= Math.exp(GELATIN_THICKENS * gelatinPercent);
  if (pectinG > 0) viscosityPaS *= 1 + PECTIN_SLOPE * pectinPercent * Math.exp(PECTIN_BEND * pectinPercent);
  if (agarG > 0) viscosityPaS *= Math.exp(AGAR_THICKENS * agarPercent);
  viscosityPaS += GUM_THICKENS * gumsPercent;
  return {
    viscosityPaS,
    gelatinPercent,
    pectinPercent,
    gellingPercent,
    gumsPercent,
    starchPercent: (100 * starchG * process.cook) / serumG,
  };
}
