import { recordOf } from '../keys-of';
import { nth } from '../nth';

/**
 * Sugar alcohols and rare sugars, each by itself.
 *
 * Molar masses are exact; Norrish constants, solubilities and sweetness are typical figures of the literature, judgement where it
 * scatters.
 */
export const POLYOL_NAMES = [
  'sorbitol',
  'maltitol',
  'erythritol',
  'xylitol',
  'allulose',
  'trehalose',
  'isomaltulose',
] as const;

/** Rare sugars that thicken a syrup as sucrose does. */
export const RARE_SUGARS = ['trehalose', 'isomaltulose'] as const satisfies readonly PolyolName[];

export type PolyolName = (typeof POLYOL_NAMES)[number];

/** 0 of each. */
export const NO_POLYOLS: Readonly<Record<PolyolName, number>> = recordOf(POLYOL_NAMES, () => 0);

/**
 * Sorbitol stays dissolved far beyond saturation for weeks, as its syrups show, so that only the common limit of the soft sugars holds it
 * (J); its tabled solubility is for reading.
 */
export const SUPERSATURATES: PolyolName = 'sorbitol';

/** What is known of one polyol or rare sugar. */
export interface Polyol {
  /** g/mol */
  readonly molarMass: number;
  readonly norrish: number;
  /** g in 1 g of water at {@link SOLUBILITY_AT_C} */
  readonly solubility: readonly [number, number, number, number];
  /** g of sucrose as sweet as 1 g */
  readonly sweetness: number;
}

/** Temperatures of the solubilities, °C. */
const SOLUBILITY_AT_C = [5, 20, 40, 60] as const;

export const POLYOLS: Record<PolyolName, Polyol> = {
  sorbitol: { molarMass: 182.2, norrish: 1.65, solubility: [1.9, 2.4, 3.6, 5.5], sweetness: 0.6 },
  maltitol: { molarMass: 344.3, norrish: 4.54, solubility: [1.2, 1.5, 2.1, 3.3], sweetness: 0.85 },
  erythritol: { molarMass: 122.1, norrish: 1.34, solubility: [0.33, 0.52, 0.9, 1.6], sweetness: 0.65 },
  xylitol: { molarMass: 152.1, norrish: 1.66, solubility: [1.3, 1.65, 2.6, 4.5], sweetness: 1 },
  allulose: { molarMass: 180.2, norrish: 2.25, solubility: [2.3, 2.9, 4, 5.5], sweetness: 0.7 },
  trehalose: { molarMass: 342.3, norrish: 6.47, solubility: [0.5, 0.69, 1.05, 1.6], sweetness: 0.45 },
  isomaltulose: { molarMass: 342.3, norrish: 6.47, solubility: [0.3, 0.45, 0.75, 1.3], sweetness: 0.45 },
};

/**
 * Grams of a polyol that saturate one gram of water: its logarithm runs straight between the table's temperatures, and straight on
 * beyond them.
 *
 * @param name which one
 * @param temperatureC 0-95 °C, tabled 5-60
 * @returns g per g
 * @example polyolSolubility('erythritol', 20) // 0.52
 */
export function polyolSolubility(name: PolyolName, temperatureC: number): number {
  const { solubility } = POLYOLS[name];
  const from = temperatureC < SOLUBILITY_AT_C[1] ? 0 : temperatureC < SOLUBILITY_AT_C[2] ? 1 : 2;
  const [t0, t1] = [nth(SOLUBILITY_AT_C, from), nth(SOLUBILITY_AT_C, from + 1)];
  const [s0, s1] = [nth(solubility, from), nth(solubility, from + 1)];
  return s0 * (s1 / s0) ** ((temperatureC - t0) / (t1 - t0));
}
