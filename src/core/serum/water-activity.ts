import type { Mixture } from '../matter/mixture';
import { POLYOL_NAMES, POLYOLS } from '../matter/polyols';
import type { Dissolved } from './dissolved';

const WATER_MOLAR_MASS = 18.015;

/**
 * Solutes of the water: molar mass g/mol and Norrish constant. Published (Chirife & Favetto 1992) but for higher saccharides
 * (J, matches a DE 42 syrup at 80 % solids), minerals, acids and cocoa (J: about 2 mmol of potassium, acids, theobromine and sugars in
 * a gram). Salt counts twice, as two ions, through half its molar mass.
 */
const SUCROSE = { molarMass: 342.3, norrish: 6.47 };
const LACTOSE = { molarMass: 342.3, norrish: 10.2 };
const GLUCOSE = { molarMass: 180.16, norrish: 2.25 };
const FRUCTOSE = { molarMass: 180.16, norrish: 2.25 };
const MALTOSE = { molarMass: 342.3, norrish: 4.54 };
const HIGHER_SACCHARIDES = { molarMass: 780, norrish: 18 };
const GLYCEROL = { molarMass: 92.1, norrish: 1.16 };
const ETHANOL = { molarMass: 46.07, norrish: 0 };
const SALT = { molarMass: 29.2, norrish: 0 };
const MINERALS = { molarMass: 62, norrish: 0 };
const COCOA_SOLUBLES = { molarMass: 500, norrish: 0 };
const ACIDS = { molarMass: 150, norrish: 0 };

/**
 * Water activity lowered by one solute alone in the solvent water.
 *
 * @param grams g of solute, 0 or more
 * @param solute its molar mass and Norrish constant
 * @param waterMoles mol of solvent water, above 0
 * @returns 0-1
 * @see Norrish 1966 (published)
 */
function alone(grams: number, solute: { molarMass: number; norrish: number }, waterMoles: number): number {
  if (grams === 0) return 1;
  const moles = grams / solute.molarMass;
  const x = moles / (moles + waterMoles);
  return (1 - x) * Math.exp(-solute.norrish * x * x);
}

/**
 * Water activity of the batch at the temperature of `dissolved`: the product of what each solute does alone.
 *
 * @param mixture the batch
 * @param dissolved what its water holds
 * @returns 0-1; within about 0.01 for dairy ganache, 0.015 elsewhere (J). An estimate, not a test for food safety.
 * @see Ross 1975 (product rule), Norrish 1966 (each solute), both published
 * @example a 66.7 % sucrose solution: 0.854
 */
export function waterActivity(mixture: Mixture, dissolved: Dissolved): number {
  const waterMoles = dissolved.solvent.solventWaterG / WATER_MOLAR_MASS;
  const { share: soft, polyolShare } = dissolved.soft;
  let aw =
    alone(dissolved.sucroseG, SUCROSE, waterMoles) *
    alone(dissolved.lactoseG, LACTOSE, waterMoles) *
    alone(soft * mixture.glucoseG, GLUCOSE, waterMoles) *
    alone(soft * mixture.fructoseG, FRUCTOSE, waterMoles) *
    alone(soft * mixture.maltoseG, MALTOSE, waterMoles) *
    alone(soft * mixture.higherSaccharidesG, HIGHER_SACCHARIDES, waterMoles) *
    alone(mixture.ethanolG, ETHANOL, waterMoles) *
    alone(mixture.saltG, SALT, waterMoles) *
    alone(mixture.mineralsG, MINERALS, waterMoles) *
    alone(mixture.cocoaSolidsG, COCOA_SOLUBLES, waterMoles) *
    alone(mixture.acidsG, ACIDS, waterMoles) *
    alone(mixture.glycerolG, GLYCEROL, waterMoles);
  if (polyolShare) {
    for (const name of POLYOL_NAMES) aw *= alone(polyolShare[name] * mixture.polyols[name], POLYOLS[name], waterMoles);
  }
  return aw;
}
