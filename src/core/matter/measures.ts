/**
 * Kitchen measures: weights, volumes and pieces, and what they weigh of an ingredient in its form. The doubt of a measure is its standard
 * deviation in natural logarithms: a cup of chopped chocolate is never the same twice.
 */

/** Grams of the weights, exact. */
export const WEIGHTS = { g: 1, kg: 1000, oz: 28.349523125, lb: 453.59237 } as const;

/** Millilitres of the volumes that are the same everywhere; a pinch is judgement. */
export const VOLUMES = {
  ml: 1,
  cl: 10,
  dl: 100,
  l: 1000,
  flOz: 29.5735295625,
  cup: 250,
  usCup: 240,
  tbsp: 15,
  auTbsp: 20,
  tsp: 5,
  pinch: 0.3,
} as const;

/**
 * Cups and spoons, mL: metric; US as labels count them (21 CFR 101.9); imperial of half a pint; Australian with its larger tablespoon. One of them
 * holds wherever a cup or a spoon is written or read.
 */
export const CUP_SYSTEMS = {
  metric: { cup: 250, tbsp: 15, tsp: 5 },
  us: { cup: 240, tbsp: 15, tsp: 5 },
  imperial: { cup: 284.130625, tbsp: 17.7581640625, tsp: 5.919388 },
  australian: { cup: 250, tbsp: 20, tsp: 5 },
} as const satisfies Record<string, { cup: number; tbsp: number; tsp: number }>;

export type CupSystem = keyof typeof CUP_SYSTEMS;

/** mL of one of a volume, in the cups and spoons of a system. */
export function millilitresOf(unit: VolumeUnit, cups: CupSystem = 'metric'): number {
  return unit === 'cup' || unit === 'tbsp' || unit === 'tsp' ? CUP_SYSTEMS[cups][unit] : VOLUMES[unit];
}

export type WeightUnit = keyof typeof WEIGHTS;
export type VolumeUnit = keyof typeof VOLUMES;

/** A weight, a volume, or the name of a piece of the ingredient (`stick`, `leaf`). */
export type MeasureUnit = WeightUnit | VolumeUnit | (string & {});

/** As much of an ingredient as measures need. */
export interface Measurable {
  /** g in 1 ml of the measure, by form */
  readonly measures: Readonly<Record<string, number>>;
  /** g a piece, by kind of piece */
  readonly pieces: Readonly<Record<string, number>>;
  readonly densityGPerMl: number | null;
}

/** Doubt of a volume by how it is filled, of a piece, of a weight (J). */
const FILL_DOUBT: Readonly<Record<string, number>> = {
  cup: 0.03,
  melted: 0.03,
  shot: 0.05,
  chips: 0.06,
  callets: 0.06,
  packed: 0.07,
  powdered: 0.08,
  instant: 0.08,
  pieces: 0.1,
  chopped: 0.1,
  sifted: 0.1,
  spooned: 0.1,
  grated: 0.15,
};
const OTHER_FILL_DOUBT = 0.1;
const PIECE_DOUBT = 0.05;
const SPOON_DOUBT = 0.06;
const PINCH_DOUBT = 0.4;
const WEIGHT_DOUBT = 0.005;

/** What a measure weighs. */
export interface Weighed {
  readonly grams: number;
  /** standard deviation of ln(grams) */
  readonly lnSd: number;
}

/** Whether a text names a volume. */
export function isVolume(unit: string): unit is VolumeUnit {
  return Object.hasOwn(VOLUMES, unit);
}

/** Whether a text names a weight. */
export function isWeight(unit: string): unit is WeightUnit {
  return Object.hasOwn(WEIGHTS, unit);
}

/** Forms an ingredient can be measured in, the usual one first. */
export function formsOf(ingredient: Measurable): string[] {
  return Object.keys(ingredient.measures);
}

/** The form a cook's words name ("chopped small" is chopped), else the usual one. */
export function formIn(ingredient: Measurable, words: string | undefined): string | undefined {
  const forms = formsOf(ingredient);
  const said = new Set((words ?? '').toLowerCase().split(/[^a-z]+/));
  return forms.find((form) => said.has(form)) ?? forms[0];
}

/**
 * Grams in one millilitre of the measure, filled as the form says.
 *
 * @returns `undefined` when neither measure nor density is known
 */
export function gramsPerMl(ingredient: Measurable, form?: string): number | undefined {
  const usual = form ?? formsOf(ingredient)[0];
  return (usual !== undefined && ingredient.measures[usual]) || ingredient.densityGPerMl || undefined;
}

/** Doubt of one measure of a unit: the filling and, for small ones, the spoon. */
export function measureDoubt(unit: MeasureUnit, form: string | undefined): number {
  if (isWeight(unit)) return WEIGHT_DOUBT;
  if (!isVolume(unit)) return PIECE_DOUBT;
  if (unit === 'pinch') return PINCH_DOUBT;
  const fill = FILL_DOUBT[form ?? 'cup'] ?? OTHER_FILL_DOUBT;
  return unit === 'tbsp' || unit === 'tsp' || unit === 'auTbsp' ? Math.hypot(fill, SPOON_DOUBT) : fill;
}

/** Grams of one of a unit, or `undefined` when this ingredient is not measured so. */
export function gramsOfOne(
  ingredient: Measurable,
  unit: MeasureUnit,
  form?: string,
  cups?: CupSystem,
): number | undefined {
  if (isWeight(unit)) return WEIGHTS[unit];
  if (isVolume(unit)) {
    const perMl = gramsPerMl(ingredient, form);
    return perMl === undefined ? undefined : perMl * millilitresOf(unit, cups);
  }
  return Object.hasOwn(ingredient.pieces, unit) ? ingredient.pieces[unit] : undefined;
}

/**
 * What an amount of an ingredient weighs.
 *
 * @param amount of the unit, 0 or more
 * @param form how it is filled; the usual form when left out
 * @returns `undefined` when this ingredient is not measured in that unit
 * @example weigh(cocoa, 2, 'tbsp', 'sifted') // { grams: 10.8, lnSd: 0.12 }
 */
export function weigh(
  ingredient: Measurable,
  amount: number,
  unit: MeasureUnit,
  form?: string,
  cups?: CupSystem,
): Weighed | undefined {
  const one = gramsOfOne(ingredient, unit, form, cups);
  return one === undefined ? undefined : { grams: amount * one, lnSd: measureDoubt(unit, form) };
}

/** Which measures a cook likes to see beside grams. */
export type MeasureSystem = 'grams' | 'ounces' | 'cups';

/** Steps a unit is filled in, as parts of one: the usual ones, and the finer ones a measure is read in where those are too far off. */
const QUARTERS = [0, 1 / 4, 1 / 3, 1 / 2, 2 / 3, 3 / 4] as const;
const HALVES = [0, 1 / 2] as const;
const TEASPOON = [0, 1 / 8, 1 / 4, 1 / 2, 3 / 4] as const;
const FINER = [0, 1 / 8, 1 / 4, 1 / 3, 3 / 8, 1 / 2, 5 / 8, 2 / 3, 3 / 4, 7 / 8] as const;
/** A measure is right within this share of the grams; beyond it it is an about. */
const RIGHT_WITHIN = 0.03;

/** A measure a cook can fill. */
export interface KitchenAmount {
  readonly amount: number;
  readonly unit: MeasureUnit;
  readonly grams: number;
  readonly lnSd: number;
  /** it is further than 3 % from the grams */
  readonly isAbout: boolean;
}

/** The nearest amount that can be filled, whole units and the given parts of one. */
export function nearestPart(amount: number, parts: readonly number[]): number {
  const whole = Math.floor(amount);
  const candidates = [...parts.map((part) => whole + part), whole + 1];
  return candidates.reduce((best, next) => (Math.abs(next - amount) < Math.abs(best - amount) ? next : best));
}

/** The nearest amount in the usual parts, or in finer ones where those are more than 3 % off. */
function readIn(amount: number, parts: readonly number[]): { amount: number; isAbout: boolean } {
  const isRight = (near: number) => Math.abs(near / amount - 1) <= RIGHT_WITHIN;
  const usual = nearestPart(amount, parts);
  if (isRight(usual)) return { amount: usual, isAbout: false };
  const finer = nearestPart(amount, FINER);
  return { amount: finer, isAbout: !isRight(finer) };
}

/** Volumes that are filled, the largest first, each from the least it is used for, ml. */
function ladder(cups: CupSystem): readonly { unit: VolumeUnit; parts: readonly number[]; fromMl: number }[] {
  const { cup, tbsp, tsp } = CUP_SYSTEMS[cups];
  return [
    { unit: 'cup', parts: QUARTERS, fromMl: cup / 4 - 2 },
    { unit: 'tbsp', parts: HALVES, fromMl: tbsp },
    { unit: 'tsp', parts: TEASPOON, fromMl: tsp / 8 - 0.1 },
    { unit: 'pinch', parts: [0], fromMl: 0 },
  ];
}

/** Pieces that are counted rather than measured. */
const COUNTED = ['leaf', 'stick', 'egg', 'yolk', 'sachet'];

/**
 * Grams as the nearest amount a cook's measures can fill: quarters and thirds of a cup, half tablespoons, quarters of a teaspoon, pinches; leaves,
 * sticks and eggs are counted. Where that is more than 3 % off, the next better fraction is read; where that is too, it is an about.
 *
 * @param grams g, above 0
 * @param cups the cups and spoons of the kitchen
 * @returns `undefined` where nothing fits: no volume known, or the system is plain grams
 * @example kitchenAmount(butter, 28.8, 'cups') // a quarter of a stick
 */
export function kitchenAmount(
  ingredient: Measurable,
  grams: number,
  system: MeasureSystem,
  form?: string,
  cups: CupSystem = 'metric',
): KitchenAmount | undefined {
  if (system === 'grams' || !(grams > 0)) return undefined;
  if (system === 'ounces') {
    const unit = grams >= WEIGHTS.lb ? 'lb' : 'oz';
    const amount = Math.round((grams / WEIGHTS[unit]) * 100) / 100;
    return { amount, unit, grams: amount * WEIGHTS[unit], lnSd: WEIGHT_DOUBT, isAbout: false };
  }
  const piece = COUNTED.find((name) => Object.hasOwn(ingredient.pieces, name));
  if (piece) {
    const one = ingredient.pieces[piece] ?? 0;
    const { amount, isAbout } = readIn(grams / one, HALVES);
    if (amount > 0) return { amount, unit: piece, grams: amount * one, lnSd: PIECE_DOUBT, isAbout };
  }
  const perMl = gramsPerMl(ingredient, form);
  if (perMl === undefined) return undefined;
  const ml = grams / perMl;
  const step = ladder(cups).find(({ fromMl }) => ml >= fromMl);
  if (!step) return undefined;
  const one = millilitresOf(step.unit, cups);
  const { amount, isAbout } =
    step.unit === 'pinch' ? { amount: Math.max(Math.round(ml / one), 1), isAbout: true } : readIn(ml / one, step.parts);
  return { amount, unit: step.unit, grams: amount * one * perMl, lnSd: measureDoubt(step.unit, form), isAbout };
}

/**
 * The grams of an ingredient a cook can fill around an amount: quarter cups, whole tablespoons up to half a cup, half teaspoons up to a
 * tablespoon; leaves, sticks and eggs counted by halves.
 *
 * @param grams g wanted, above 0
 * @param cups the cups and spoons of the kitchen
 * @returns rising; `undefined` when nothing but the scale measures it, or the system has no volumes
 */
export function fillings(
  ingredient: Measurable,
  grams: number,
  system: MeasureSystem,
  form?: string,
  cups: CupSystem = 'metric',
): number[] | undefined {
  if (system !== 'cups') return undefined;
  const perMl = gramsPerMl(ingredient, form);
  const { cup, tbsp, tsp } = CUP_SYSTEMS[cups];
  const piece = COUNTED.find((name) => Object.hasOwn(ingredient.pieces, name));
  const steps: readonly { one: number; most: number }[] = piece
    ? [{ one: (ingredient.pieces[piece] ?? 0) / 2, most: 400 }]
    : perMl === undefined
      ? []
      : [
          { one: (perMl * tsp) / 2, most: 5 },
          { one: perMl * tbsp, most: Math.floor(cup / 2 / tbsp) },
          { one: (perMl * cup) / 4, most: 400 },
        ];
  const found = steps.flatMap(({ one, most }) => {
    const near = Math.round(grams / one);
    return [near - 2, near - 1, near, near + 1, near + 2].filter((n) => n >= 1 && n <= most).map((n) => n * one);
  });
  return found.length > 0 ? found.sort((a, b) => a - b) : undefined;
}
