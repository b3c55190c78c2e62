/**
 * Kitchen measures: weights, volumes and pieces, and what they weigh of an ingredient in its form. The doubt of a measure is its standard
 * deviation in natural logarithms: a cup of chopped chocolate is never the same twice.
 */

/** Grams of the weights, exact. */
export const WEIGHTS = { g: 1, kg: 1000, oz: 28.349523125, lb: 453.59237 } as const;

/** Millilitres of the volumes, exact; a pinch is judgement. The metric cup is 250 ml, the US cup 8 US fluid ounces. */
export const VOLUMES = {
  ml: 1,
  l: 1000,
  flOz: 29.5735295625,
  cup: 250,
  usCup: 236.5882365,
  tbsp: 15,
  auTbsp: 20,
  tsp: 5,
  pinch: 0.3,
} as const;

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
export function gramsOfOne(ingredient: Measurable, unit: MeasureUnit, form?: string): number | undefined {
  if (isWeight(unit)) return WEIGHTS[unit];
  if (isVolume(unit)) {
    const perMl = gramsPerMl(ingredient, form);
    return perMl === undefined ? undefined : perMl * VOLUMES[unit];
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
export function weigh(ingredient: Measurable, amount: number, unit: MeasureUnit, form?: string): Weighed | undefined {
  const one = gramsOfOne(ingredient, unit, form);
  return one === undefined ? undefined : { grams: amount * one, lnSd: measureDoubt(unit, form) };
}

/** Which measures a cook likes to see beside grams. */
export type MeasureSystem = 'grams' | 'ounces' | 'cups' | 'usCups';

/** Steps a unit is filled in, as parts of one. */
const QUARTERS = [0, 1 / 4, 1 / 3, 1 / 2, 2 / 3, 3 / 4] as const;
const HALVES = [0, 1 / 2] as const;
const TEASPOON = [0, 1 / 8, 1 / 4, 1 / 2, 3 / 4] as const;

/** A measure a cook can fill. */
export interface KitchenAmount {
  readonly amount: number;
  readonly unit: MeasureUnit;
  readonly grams: number;
  readonly lnSd: number;
}

/** The nearest amount that can be filled, whole units and the given parts of one. */
export function nearestPart(amount: number, parts: readonly number[]): number {
  const whole = Math.floor(amount);
  const candidates = [...parts.map((part) => whole + part), whole + 1];
  return candidates.reduce((best, next) => (Math.abs(next - amount) < Math.abs(best - amount) ? next : best));
}

/** Volumes a system fills, the largest first, each from the least it is used for, ml. */
function ladder(system: MeasureSystem): readonly { unit: VolumeUnit; parts: readonly number[]; fromMl: number }[] {
  const cup: VolumeUnit = system === 'usCups' ? 'usCup' : 'cup';
  return [
    { unit: cup, parts: QUARTERS, fromMl: VOLUMES[cup] / 4 - 2 },
    { unit: 'tbsp', parts: HALVES, fromMl: VOLUMES.tbsp },
    { unit: 'tsp', parts: TEASPOON, fromMl: VOLUMES.tsp / 8 - 0.1 },
    { unit: 'pinch', parts: [0], fromMl: 0 },
  ];
}

/** Pieces that are counted rather than measured. */
const COUNTED = ['leaf', 'stick', 'egg', 'yolk', 'sachet'];

/**
 * Grams as the nearest amount a cook's measures can fill: quarters and thirds of a cup, half tablespoons, eighths and quarters of a teaspoon,
 * pinches; leaves, sticks and eggs are counted.
 *
 * @param grams g, above 0
 * @returns `undefined` where nothing fits: no volume known, or the system is plain grams
 */
export function kitchenAmount(
  ingredient: Measurable,
  grams: number,
  system: MeasureSystem,
  form?: string,
): KitchenAmount | undefined {
  if (system === 'grams' || !(grams > 0)) return undefined;
  if (system === 'ounces') {
    const unit = grams >= WEIGHTS.lb ? 'lb' : 'oz';
    const amount = Math.round((grams / WEIGHTS[unit]) * 100) / 100;
    return { amount, unit, grams: amount * WEIGHTS[unit], lnSd: WEIGHT_DOUBT };
  }
  const piece = COUNTED.find((name) => Object.hasOwn(ingredient.pieces, name));
  if (piece) {
    const one = ingredient.pieces[piece] as number;
    const amount = nearestPart(grams / one, HALVES);
    if (amount > 0) return { amount, unit: piece, grams: amount * one, lnSd: PIECE_DOUBT };
  }
  const perMl = gramsPerMl(ingredient, form);
  if (perMl === undefined) return undefined;
  const ml = grams / perMl;
  const step = ladder(system).find(({ fromMl }) => ml >= fromMl);
  if (!step) return undefined;
  const amount = Math.max(nearestPart(ml / VOLUMES[step.unit], step.parts), step.unit === 'pinch' ? 1 : 0);
  return {
    amount,
    unit: step.unit,
    grams: amount * VOLUMES[step.unit] * perMl,
    lnSd: measureDoubt(step.unit, form),
  };
}

/**
 * The grams of an ingredient a cook can fill around an amount: quarter cups, whole tablespoons up to half a cup, half teaspoons up to a
 * tablespoon; leaves, sticks and eggs counted by halves.
 *
 * @param grams g wanted, above 0
 * @returns rising; `undefined` when nothing but the scale measures it, or the system has no volumes
 */
export function fillings(
  ingredient: Measurable,
  grams: number,
  system: MeasureSystem,
  form?: string,
): number[] | undefined {
  if (system !== 'cups' && system !== 'usCups') return undefined;
  const perMl = gramsPerMl(ingredient, form);
  const cup = system === 'cups' ? VOLUMES.cup : VOLUMES.usCup;
  const piece = COUNTED.find((name) => Object.hasOwn(ingredient.pieces, name));
  const steps: readonly { one: number; most: number }[] = piece
    ? [{ one: (ingredient.pieces[piece] as number) / 2, most: 400 }]
    : perMl === undefined
      ? []
      : [
          { one: (perMl * VOLUMES.tsp) / 2, most: 5 },
          { one: perMl * VOLUMES.tbsp, most: Math.floor(cup / 2 / VOLUMES.tbsp) },
          { one: (perMl * cup) / 4, most: 400 },
        ];
  const found = steps.flatMap(({ one, most }) => {
    const near = Math.round(grams / one);
    return [near - 2, near - 1, near, near + 1, near + 2].filter((n) => n >= 1 && n <= most).map((n) => n * one);
  });
  return found.length > 0 ? found.sort((a, b) => a - b) : undefined;
}
