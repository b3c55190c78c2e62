import { partOf } from './component-vector';
import type { ComponentName, ComponentVector } from './components';
import { NO_POLYOLS, POLYOL_NAMES, type PolyolName } from './polyols';
import type { Process } from './process';

/**
 * A batch as the equations see it: the components of the larder folded into the species that have terms of their own.
 * All amounts in grams. Nothing here depends on temperature.
 *
 * Folding, each a judgement where an ingredient has no term of its own: `hard_fat` melts much as milk fat does; `other_protein`
 * counts as milk protein; `agar` gels as three times its weight of pectin does, but is itself in mass and room and hardly thickens
 * while hot; `inulin` counts as higher saccharides; the sugar alcohols and allulose as one polyol in viscosity, trehalose and
 * isomaltulose as sucrose (solubility, water activity and sweetness take each by itself); `fibre` and `other` are inert filler, which
 * thickens as particles do; `acids` are dissolved.
 */
export interface Mixture {
  readonly massG: number;
  readonly process: Process;
  /** water with a trace added so that dry mixtures stay defined */
  readonly waterG: number;
  readonly cocoaButterG: number;
  readonly milkFatG: number;
  readonly lauricFatG: number;
  /** all fat, lecithin included */
  readonly fatG: number;
  readonly lecithinG: number;
  readonly cocoaSolidsG: number;
  readonly proteinG: number;
  readonly lactoseG: number;
  readonly mineralsG: number;
  readonly sucroseG: number;
  readonly glucoseG: number;
  readonly fructoseG: number;
  readonly maltoseG: number;
  readonly higherSaccharidesG: number;
  /** polyols that are solids by themselves */
  readonly solidPolyolG: number;
  readonly glycerolG: number;
  /** each of them, g */
  readonly polyols: Readonly<Record<PolyolName, number>>;
  readonly starchG: number;
  readonly gelatinG: number;
  readonly pectinG: number;
  readonly agarG: number;
  readonly gumsG: number;
  readonly ethanolG: number;
  readonly saltG: number;
  readonly acidsG: number;
  /** insoluble fibre and other */
  readonly inertG: number;
  /** glucose, fructose, maltose, higher saccharides and polyols */
  readonly softSugarsG: number;
  /** all sugars and polyols */
  readonly sugarsG: number;
}

/** Share of the mass added as water so that a mixture without any stays defined. */
const TRACE_WATER = 1e-4;

/**
 * Folds a batch into the species of the equations.
 *
 * @param grams grams of each component in the batch, 0 or more, not all 0
 * @param process what was done to it
 * @example foldMixture(mix(lines), DEFAULT_PROCESS).massG
 */
export function foldMixture(grams: ComponentVector, process: Process): Mixture {
  const of = (name: ComponentName) => partOf(grams, name);
  let massG = 0;
  for (const part of grams) massG += part;
  const lecithinG = of('lecithin');
  const cocoaButterG = of('cocoa_butter');
  const milkFatG = of('milk_fat') + of('hard_fat');
  const lauricFatG = of('lauric_fat');
  const sucroseG = of('sucrose');
  const lactoseG = of('lactose');
  const glucoseG = of('glucose');
  const fructoseG = of('fructose');
  const maltoseG = of('maltose');
  const higherSaccharidesG = of('higher_saccharides') + of('inulin');
  const glycerolG = of('glycerol');
  const polyols = { ...NO_POLYOLS };
  let solidPolyolG = 0;
  for (const name of POLYOL_NAMES) {
    polyols[name] = of(name);
    solidPolyolG += polyols[name];
  }
  const softSugarsG = glucoseG + fructoseG + maltoseG + higherSaccharidesG + solidPolyolG + glycerolG;
  return {
    massG,
    process,
    waterG: of('water') + TRACE_WATER * massG,
    cocoaButterG,
    milkFatG,
    lauricFatG,
    fatG: cocoaButterG + milkFatG + lauricFatG + of('liquid_oil') + lecithinG,
    lecithinG,
    cocoaSolidsG: of('cocoa_solids'),
    proteinG: of('milk_protein') + of('other_protein'),
    lactoseG,
    mineralsG: of('milk_ash'),
    sucroseG,
    glucoseG,
    fructoseG,
    maltoseG,
    higherSaccharidesG,
    solidPolyolG,
    glycerolG,
    polyols,
    starchG: of('starch'),
    gelatinG: of('gelatin'),
    pectinG: of('pectin'),
    agarG: of('agar'),
    gumsG: of('gums'),
    ethanolG: of('ethanol'),
    saltG: of('salt'),
    acidsG: of('acids'),
    inertG: of('fibre') + of('other'),
    softSugarsG,
    sugarsG: sucroseG + lactoseG + softSugarsG,
  };
}
