import { keysOf, recordOf } from '../keys-of';
import type { ComponentVector } from '../matter/components';
import { type LabelSchool, labelFigure, type Nutrition, nutrition } from '../matter/nutrition';

/** A line of a nutrition panel: per 100 g and per portion, rounded, with their units. */
export interface PanelLine {
  readonly name: string;
  /** of which … */
  readonly isInner: boolean;
  readonly per100: string;
  readonly perPortion: string;
}

/** mg of sodium in a gram of salt. */
const SODIUM_MG = 1000 / 2.5;
/** Less than this in 100 g of something that is not always named is left out, g. */
const WORTH_A_LINE = 0.05;

const toNearest = (value: number, step: number) => Math.round(value / step) * step;

/** Calories: none below 5, to 5 up to 50, then to 10 (21 CFR 101.9(c)(1)). */
function usCalories(kcal: number): string {
  if (kcal < 5) return '0';
  return String(kcal <= 50 ? toNearest(kcal, 5) : toNearest(kcal, 10));
}

/** Fats: none below 0.5 g, to half grams below 5 g, then to grams (21 CFR 101.9(c)(2)). */
function usFat(grams: number): string {
  if (grams < 0.5) return '0 g';
  return `${grams < 5 ? toNearest(grams, 0.5) : Math.round(grams)} g`;
}

/** Carbohydrate, fibre, sugars, sugar alcohol, protein: none below 0.5 g, "less than 1 g" below 1 g, then to grams (21 CFR 101.9(c)(6)-(7)). */
function usGrams(grams: number): string {
  if (grams < 0.5) return '0 g';
  return grams < 1 ? 'less than 1 g' : `${Math.round(grams)} g`;
}

/** Sodium: none below 5 mg, to 5 mg up to 140 mg, then to 10 mg (21 CFR 101.9(c)(4)). */
function usSodium(milligrams: number): string {
  if (milligrams < 5) return '0 mg';
  return `${milligrams <= 140 ? toNearest(milligrams, 5) : toNearest(milligrams, 10)} mg`;
}

type Write = (nutrition: Nutrition) => string;
interface Rule {
  readonly name: string;
  readonly isInner?: boolean;
  readonly write: Write;
  /** left out where there is hardly any */
  readonly onlyIf?: (per100: Nutrition) => boolean;
}

const eu = (field: Exclude<keyof Nutrition, 'energyKj' | 'energyKcal'>): Write => {
  return (nutrition) => `${labelFigure(field, nutrition[field])} g`;
};

const RULES: Readonly<Record<LabelSchool, readonly Rule[]>> = {
  eu: [
    {
      name: 'Energy',
      write: ({ energyKj, energyKcal }) =>
        `${labelFigure('energyKj', energyKj)} kJ / ${labelFigure('energyKcal', energyKcal)} kcal`,
    },
    { name: 'Fat', write: eu('fat') },
    { name: 'of which saturates', isInner: true, write: eu('saturates') },
    { name: 'Carbohydrate', write: eu('carbohydrate') },
    { name: 'of which sugars', isInner: true, write: eu('sugars') },
    {
      name: 'of which polyols',
      isInner: true,
      write: eu('polyols'),
      onlyIf: ({ polyols }) => polyols > WORTH_A_LINE,
    },
    { name: 'Fibre', write: eu('fibre') },
    { name: 'Protein', write: eu('protein') },
    { name: 'Salt', write: eu('salt') },
  ],
  us: [
    { name: 'Calories', write: ({ energyKcal }) => usCalories(energyKcal) },
    { name: 'Total Fat', write: ({ fat }) => usFat(fat) },
    { name: 'Saturated Fat', isInner: true, write: ({ saturates }) => usFat(saturates) },
    { name: 'Sodium', write: ({ salt }) => usSodium(SODIUM_MG * salt) },
    // There fibre is a part of the carbohydrate.
    { name: 'Total Carbohydrate', write: ({ carbohydrate, fibre }) => usGrams(carbohydrate + fibre) },
    { name: 'Dietary Fiber', isInner: true, write: ({ fibre }) => usGrams(fibre) },
    { name: 'Total Sugars', isInner: true, write: ({ sugars }) => usGrams(sugars) },
    {
      name: 'Sugar Alcohol',
      isInner: true,
      write: ({ polyols }) => usGrams(polyols),
      onlyIf: ({ polyols }) => polyols > WORTH_A_LINE,
    },
    { name: 'Protein', write: ({ protein }) => usGrams(protein) },
  ],
};

/** Daily values of the United States, g (21 CFR 101.9(c)(8)-(9)). */
const US_DAILY = {
  fat: 78,
  saturates: 20,
  cholesterol: 0.3,
  sodium: 2.3,
  carbohydrate: 275,
  fibre: 28,
  addedSugars: 50,
};
/** Sugars and fats of a portion that no composition says, g and mg; nothing where nobody typed them. */
export interface UsExtras {
  readonly transG?: number | undefined;
  readonly cholesterolMg?: number | undefined;
  readonly addedSugarsG?: number | undefined;
}

/** A line of a Nutrition Facts panel. */
export interface FactsLine {
  readonly name: string;
  /** how far it stands inwards */
  readonly inward: 0 | 1 | 2;
  readonly amount: string;
  /** of a daily value, `12%`; empty where there is none */
  readonly daily: string;
}

/** Per cent of a daily value: none below 1, then whole (21 CFR 101.9(c)(8)(iii)). */
const usDaily = (amount: number, daily: number) => `${Math.round((100 * amount) / daily)}%`;

/** Cholesterol: none below 2 mg, "less than 5 mg" below 5, then to 5 mg (21 CFR 101.9(c)(3)). */
function usCholesterol(milligrams: number): string {
  if (milligrams < 2) return '0 mg';
  return milligrams < 5 ? 'less than 5 mg' : `${toNearest(milligrams, 5)} mg`;
}

const NOT_KNOWN = 'not known';

/**
 * The lines of a Nutrition Facts panel of a portion with their per cent of daily values (21 CFR 101.9). Vitamins and minerals are not known here and not on it.
 *
 * @param components g of each, 0 or more, not all 0
 * @param portionG g, above 0
 */
export function nutritionFacts(components: ComponentVector, portionG: number, extras: UsExtras): FactsLine[] {
  const per100 = nutrition(components, 'us');
  const n = ofGrams(per100, portionG);
  const sodiumMg = SODIUM_MG * n.salt;
  const carbohydrate = n.carbohydrate + n.fibre;
  const { transG, cholesterolMg, addedSugarsG } = extras;
  const line = (name: string, amount: string, daily = '', inward: FactsLine['inward'] = 0): FactsLine => ({
    name,
    amount,
    daily,
    inward,
  });
  return [
    line('Calories', usCalories(n.energyKcal)),
    line('Total Fat', usFat(n.fat), usDaily(n.fat, US_DAILY.fat)),
    line('Saturated Fat', usFat(n.saturates), usDaily(n.saturates, US_DAILY.saturates), 1),
    line('Trans Fat', transG === undefined ? NOT_KNOWN : usFat(transG), '', 1),
    cholesterolMg === undefined
      ? line('Cholesterol', NOT_KNOWN)
      : line('Cholesterol', usCholesterol(cholesterolMg), usDaily(cholesterolMg / 1000, US_DAILY.cholesterol)),
    line('Sodium', usSodium(sodiumMg), usDaily(sodiumMg / 1000, US_DAILY.sodium)),
    line('Total Carbohydrate', usGrams(carbohydrate), usDaily(carbohydrate, US_DAILY.carbohydrate)),
    line('Dietary Fiber', usGrams(n.fibre), usDaily(n.fibre, US_DAILY.fibre), 1),
    line('Total Sugars', usGrams(n.sugars), '', 1),
    addedSugarsG === undefined
      ? line('Added Sugars', NOT_KNOWN, '', 2)
      : line('Added Sugars', usGrams(addedSugarsG), usDaily(addedSugarsG, US_DAILY.addedSugars), 2),
    ...(n.polyols > WORTH_A_LINE ? [line('Sugar Alcohol', usGrams(n.polyols), '', 1)] : []),
    line('Protein', usGrams(n.protein)),
  ];
}

/** Nutrition of so many grams. */
const ofGrams = (per100: Nutrition, grams: number): Nutrition =>
  recordOf(keysOf(per100), (field) => (per100[field] * grams) / 100);

/**
 * A nutrition panel in the figures, order and rounding of a school of law: Regulation (EU) 1169/2011, annexes XIV and XV, with the Commission's guidance on
 * tolerances (2012), or the United States' 21 CFR 101.9. Trans fat, cholesterol, added sugars, vitamins and minerals are not known here and not on it.
 *
 * @param components g of each, 0 or more, not all 0
 * @param portionG g, above 0
 */
export function nutritionPanel(components: ComponentVector, portionG: number, school: LabelSchool): PanelLine[] {
  const per100 = nutrition(components, school);
  const portion = ofGrams(per100, portionG);
  return RULES[school]
    .filter(({ onlyIf }) => onlyIf?.(per100) ?? true)
    .map(({ name, isInner = false, write }) => ({ name, isInner, per100: write(per100), perPortion: write(portion) }));
}
