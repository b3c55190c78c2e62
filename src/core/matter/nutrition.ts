import { keysOf, recordOf } from '../keys-of';
import { nth } from '../nth';
import { COMPONENT_NAMES, type ComponentName, type ComponentVector } from './components';

/** The two schools of law nutrition can be worked out and shown by. */
export const LABEL_SCHOOLS = ['eu', 'us'] as const;
export type LabelSchool = (typeof LABEL_SCHOOLS)[number];

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
const SHARES: Readonly<Record<ComponentName, Share>> = {
  water: {},
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
  acids: {},
  other: {},
};

/** What a school counts in another way: allulose is no sugar in the United States (FDA guidance, 2020). */
const SCHOOL_SHARES: Readonly<Record<LabelSchool, Partial<Record<ComponentName, Share>>>> = {
  eu: {},
  us: { allulose: { carbohydrate: 1 } },
};

type Energy = readonly [kj: number, kcal: number];
const kcal = (value: number): Energy => [4.184 * value, value];

/** Energy of 1 g by field (Regulation (EU) 1169/2011, annex XIV; the United States count the same kcal, 21 CFR 101.9(c)(1)(i)). */
const FIELD_ENERGY = {
  fat: [37, 9],
  carbohydrate: [17, 4],
  polyols: [10, 2.4],
  protein: [17, 4],
  fibre: [8, 2],
  alcohol: [29, 7],
} as const satisfies Partial<Record<NutritionField, Energy>>;

/** Energy of 1 g of what does not follow its field; in the European Union allulose does, as carbohydrate. */
const ENERGY_APART: Readonly<Record<LabelSchool, Partial<Record<ComponentName, Energy>>>> = {
  eu: { acids: [13, 3], erythritol: [0, 0] },
  us: {
    acids: kcal(3),
    maltitol: kcal(2.1),
    sorbitol: kcal(2.6),
    xylitol: kcal(2.4),
    glycerol: kcal(4.32),
    erythritol: kcal(0),
    allulose: kcal(0.4),
  },
};

/** What a pack declares beside energy. */
export const DECLARED_FIELDS = [
  'fat',
  'saturates',
  'carbohydrate',
  'sugars',
  'polyols',
  'fibre',
  'protein',
  'salt',
] as const satisfies readonly (keyof Share)[];

const FIELDS = [...DECLARED_FIELDS, 'alcohol'] as const;

const sharesOf = (name: ComponentName, school: LabelSchool) => SCHOOL_SHARES[school][name] ?? SHARES[name];

/** Energy of 1 g of a component. */
function energyOf(name: ComponentName, school: LabelSchool): Energy {
  const apart = ENERGY_APART[school][name];
  if (apart) return apart;
  const { carbohydrate = 0, polyols = 0, ...shares } = sharesOf(name, school);
  const parts = { ...shares, carbohydrate: carbohydrate - polyols, polyols };
  const sum = (unit: 0 | 1) =>
    keysOf(FIELD_ENERGY).reduce((total, field) => total + (parts[field] ?? 0) * FIELD_ENERGY[field][unit], 0);
  return [sum(0), sum(1)];
}

/** What 1 g of each component adds to every field, in the order of {@link COMPONENT_NAMES}. */
const ONE_GRAM = recordOf(LABEL_SCHOOLS, (school) =>
  COMPONENT_NAMES.map((name): Nutrition => {
    const [energyKj, energyKcal] = energyOf(name, school);
    const shares = sharesOf(name, school);
    return { energyKj, energyKcal, ...recordOf(FIELDS, (field) => shares[field] ?? 0) };
  }),
);

const NUTRITION_FIELDS = ['energyKj', 'energyKcal', ...FIELDS] as const;

/**
 * Nutrition from composition.
 *
 * @param grams g of each component, 0 or more, not all 0
 * @param school whose law counts: what a sweetener brings differs
 * @returns per 100 g; typical figures, not an analysis
 * @example nutrition(compositionVector({ sucrose: 100 })).energyKcal // 400
 * @example nutrition(compositionVector({ maltitol: 100 }), 'us').energyKcal // 210
 */
export function nutrition(grams: ComponentVector, school: LabelSchool = 'eu'): Nutrition {
  const massG = grams.reduce((sum, part) => sum + part, 0);
  return recordOf(NUTRITION_FIELDS, (field) => {
    const sum = ONE_GRAM[school].reduce((total, each, i) => total + nth(grams, i) * each[field], 0);
    return (100 * sum) / massG;
  });
}

/** What 1 g of each component adds to a field, in the order of {@link COMPONENT_NAMES}; energy in kcal. */
export const nutritionRow = (field: Exclude<NutritionField, 'energyKj'>): Float64Array =>
  Float64Array.from(ONE_GRAM.eu, (each) => each[field]);

/** Below which a field counts as nothing, g. */
const TRACES: Partial<Record<NutritionField, number>> = { saturates: 0.1, alcohol: 0.05 };
const USUAL_TRACE = 0.5;

/** Rounded to so many places; without any where the rounded figure has reached the whole ones. */
function rounded(value: number, places: number, wholeFrom: number, wholePlaces: number): string {
  const fine = value.toFixed(places);
  return Number(fine) >= wholeFrom ? value.toFixed(wholePlaces) : fine;
}

/**
 * A nutrition figure as a label shows it, by the European Commission's guidance on tolerances (2012): energy to 1; fat, carbohydrate, sugars,
 * polyols, protein and fibre to 1 g from 10 g, to 0.1 g above 0.5 g, else "<0.5"; saturates the same with 0.1; salt to 0.1 g from
 * 1 g, to 0.01 g above 0.0125 g, else "<0.01". What rounds up to 10 g (salt: 1 g) is written as that is. Other countries round in other ways.
 *
 * @example labelFigure('fat', 37.4) // '37'
 * @example labelFigure('sugars', 9.96) // '10'
 */
export function labelFigure(field: NutritionField, value: number): string {
  if (field === 'energyKj' || field === 'energyKcal') return String(Math.round(value));
  if (field === 'salt') return value > 0.0125 ? rounded(value, 2, 1, 1) : value > 0 ? '<0.01' : '0';
  const trace = TRACES[field] ?? USUAL_TRACE;
  return value > trace ? rounded(value, 1, 10, 0) : value > 0 ? `<${trace}` : '0';
}
