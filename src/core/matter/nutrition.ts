import { keysOf, recordOf } from '../keys-of';
import { partOf } from './component-vector';
import { COMPONENT_NAMES, type ComponentName, type ComponentVector } from './components';

/** Nutrition of 100 g, unrounded. g, but energy. */
export interface Nutrition {
  readonly energyKj: number;
  readonly energyKcal: number;
  readonly fat: number;
  readonly saturates: number;
  readonly carbohydrate: number;
  readonly sugars: number;
  readonly polyols: number;
  readonly fibre: number;
  readonly protein: number;
  readonly salt: number;
  readonly alcohol: number;
}

export type NutritionField = keyof Nutrition;

/** What 1 g of a component adds to each field, g; energy follows from the fields. */
type Share = Partial<Record<Exclude<NutritionField, 'energyKj' | 'energyKcal'>, number>>;

const SUGAR: Share = { carbohydrate: 1, sugars: 1 };
const POLYOL: Share = { carbohydrate: 1, polyols: 1 };
const FIBRE: Share = { fibre: 1 };
const PROTEIN: Share = { protein: 1 };
const fat = (saturates: number): Share => ({ fat: 1, saturates });

/**
 * Typical shares (food tables, rounded; those of cocoa solids are judgement): saturates by kind of fat, cocoa solids as a quarter each of
 * protein, fibre, starch with a little sugar, minerals of milk as the salt of their sodium.
 */
const SHARES: Partial<Record<ComponentName, Share>> = {
  cocoa_butter: fat(0.61),
  milk_fat: fat(0.65),
  lauric_fat: fat(0.9),
  liquid_oil: fat(0.11),
  hard_fat: fat(0.55),
  lecithin: fat(0.2),
  cocoa_solids: { protein: 0.24, fibre: 0.33, carbohydrate: 0.28, sugars: 0.02 },
  milk_protein: PROTEIN,
  other_protein: PROTEIN,
  gelatin: PROTEIN,
  lactose: SUGAR,
  sucrose: SUGAR,
  glucose: SUGAR,
  fructose: SUGAR,
  maltose: SUGAR,
  trehalose: SUGAR,
  isomaltulose: SUGAR,
  allulose: SUGAR,
  higher_saccharides: { carbohydrate: 1 },
  starch: { carbohydrate: 1 },
  sorbitol: POLYOL,
  glycerol: POLYOL,
  maltitol: POLYOL,
  erythritol: POLYOL,
  xylitol: POLYOL,
  inulin: FIBRE,
  fibre: FIBRE,
  pectin: FIBRE,
  agar: FIBRE,
  gums: FIBRE,
  salt: { salt: 1 },
  milk_ash: { salt: 0.15 },
  ethanol: { alcohol: 1 },
};

/** Energy of 1 g, kJ and kcal (Regulation (EU) 1169/2011, annex XIV; allulose by common labelling). */
const ENERGY = {
  fat: [37, 9],
  carbohydrate: [17, 4],
  polyols: [10, 2.4],
  protein: [17, 4],
  fibre: [8, 2],
  alcohol: [29, 7],
  acids: [13, 3],
} as const;
const ALLULOSE_ENERGY = [1.3, 0.3] as const;

/**
 * Nutrition from composition.
 *
 * @param grams g of each component, 0 or more, not all 0
 * @returns per 100 g; typical figures, not an analysis
 * @example nutrition(compositionVector({ sucrose: 100 })).energyKcal // 400
 */
export function nutrition(grams: ComponentVector): Nutrition {
  let massG = 0;
  const sum = {
    fat: 0,
    saturates: 0,
    carbohydrate: 0,
    sugars: 0,
    polyols: 0,
    fibre: 0,
    protein: 0,
    salt: 0,
    alcohol: 0,
  };
  for (const name of COMPONENT_NAMES) {
    const amount = partOf(grams, name);
    massG += amount;
    const shares = SHARES[name] ?? {};
    for (const field of keysOf(shares)) sum[field] += amount * (shares[field] ?? 0);
  }
  const acids = partOf(grams, 'acids');
  const allulose = partOf(grams, 'allulose');
  const erythritol = partOf(grams, 'erythritol');
  const energy = (unit: 0 | 1) =>
    ENERGY.fat[unit] * sum.fat +
    ENERGY.carbohydrate[unit] * (sum.carbohydrate - sum.polyols - allulose) +
    ENERGY.polyols[unit] * (sum.polyols - erythritol) +
    ENERGY.protein[unit] * sum.protein +
    ENERGY.fibre[unit] * sum.fibre +
    ENERGY.alcohol[unit] * sum.alcohol +
    ENERGY.acids[unit] * acids +
    ALLULOSE_ENERGY[unit] * allulose;
  const per100 = 100 / massG;
  return {
    energyKj: energy(0) * per100,
    energyKcal: energy(1) * per100,
    ...recordOf(keysOf(sum), (field) => sum[field] * per100),
  };
}

/** What 1 g of each component adds to a field, in the order of {@link COMPONENT_NAMES}; energy in kcal. */
export function nutritionRow(field: Exclude<NutritionField, 'energyKj'>): Float64Array {
  return Float64Array.from(COMPONENT_NAMES, (_, i) => {
    const one = new Float64Array(COMPONENT_NAMES.length);
    one[i] = 1;
    return nutrition(one)[field] / 100;
  });
}

/** From which amount a field is rounded to whole grams, below which to tenths, and below which it counts as nothing, g. */
const ROUNDING: Partial<Record<NutritionField, readonly [whole: number, trace: number]>> = {
  fat: [10, 0.5],
  carbohydrate: [10, 0.5],
  sugars: [10, 0.5],
  polyols: [10, 0.5],
  protein: [10, 0.5],
  fibre: [10, 0.5],
  saturates: [10, 0.1],
};

/**
 * A nutrition figure as a label shows it, by the European Commission's guidance on tolerances (2012): energy to 1; fat, carbohydrate, sugars,
 * polyols, protein and fibre to 1 g from 10 g, to 0.1 g above 0.5 g, else "<0.5"; saturates the same with 0.1; salt to 0.1 g from
 * 1 g, to 0.01 g above 0.0125 g, else "<0.01". Other countries round in other ways.
 *
 * @example labelFigure('fat', 37.4) // '37'
 */
export function labelFigure(field: NutritionField, value: number): string {
  if (field === 'energyKj' || field === 'energyKcal') return String(Math.round(value));
  if (field === 'salt')
    return value >= 1 ? value.toFixed(1) : value > 0.0125 ? value.toFixed(2) : value > 0 ? '<0.01' : '0';
  const [whole, trace] = ROUNDING[field] ?? [10, 0.05];
  if (value >= whole) return String(Math.round(value));
  if (value > trace) return value.toFixed(1);
  return value > 0 ? `<${trace}` : '0';
}
