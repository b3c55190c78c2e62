import {
  formIn,
  gramsOfOne,
  type KitchenAmount,
  kitchenAmount,
  type Measurable,
  type MeasureSystem,
  type MeasureUnit,
  VOLUMES,
  WEIGHTS,
} from '@/core/matter/measures';
import { type AmountRules, GRAMS } from './parse-amount';

/** How units are written beside a number; pieces are written as they are called. */
const UNIT_TEXT: Readonly<Record<string, string>> = {
  flOz: 'fl oz',
  usCup: 'US cup',
  auTbsp: 'tbsp (20 ml)',
};

/** What a cook may type for a unit. */
const TYPED: Readonly<Record<string, readonly string[]>> = {
  g: ['g', 'gram', 'grams'],
  kg: ['kg'],
  oz: ['oz', 'ounce', 'ounces'],
  lb: ['lb', 'lbs', 'pound', 'pounds'],
  ml: ['ml'],
  l: ['l', 'litre', 'litres'],
  flOz: ['fl oz', 'floz', 'fl. oz'],
  cup: ['cup', 'cups', 'metric cup', 'metric cups'],
  usCup: ['us cup', 'us cups'],
  tbsp: ['tbsp', 'tablespoon', 'tablespoons'],
  auTbsp: ['tbsp 20', 'tbsp (20 ml)', 'au tbsp'],
  tsp: ['tsp', 'teaspoon', 'teaspoons'],
  pinch: ['pinch', 'pinches'],
};

const FRACTIONS: readonly (readonly [value: number, sign: string])[] = [
  [1 / 8, '⅛'],
  [1 / 4, '¼'],
  [1 / 3, '⅓'],
  [1 / 2, '½'],
  [2 / 3, '⅔'],
  [3 / 4, '¾'],
];

/** A number as cooks write it: `1 ¼`. */
export function cooksNumber(value: number): string {
  const whole = Math.floor(value + 1e-6);
  const rest = value - whole;
  if (rest < 0.02) return String(whole);
  const fraction = FRACTIONS.find(([part]) => Math.abs(part - rest) < 0.02);
  if (!fraction) return String(Math.round(value * 100) / 100);
  return whole === 0 ? fraction[1] : `${whole} ${fraction[1]}`;
}

/** A measure as cooks write it: `1 ¼ cup`. */
export function measureText({ amount, unit }: Pick<KitchenAmount, 'amount' | 'unit'>): string {
  return `${cooksNumber(amount)}\u00a0${UNIT_TEXT[unit] ?? unit}`;
}

/** What stands beside grams: the nearest measure the cook can fill, or nothing. */
export function besideGrams(
  ingredient: Measurable | undefined,
  grams: number,
  system: MeasureSystem,
  words: string | undefined,
): string | undefined {
  if (!ingredient) return undefined;
  const found = kitchenAmount(ingredient, grams, system, formIn(ingredient, words));
  return found && measureText(found);
}

/** Rules of a grams field that also reads the ingredient's own measures: `1 1/4 cup`, `2 sticks`. */
export function gramsRules(ingredient: Measurable | undefined, words: string | undefined): AmountRules {
  if (!ingredient) return GRAMS;
  const form = formIn(ingredient, words);
  const units: Record<string, number> = {};
  const put = (unit: MeasureUnit, names: readonly string[]) => {
    const one = gramsOfOne(ingredient, unit, form);
    if (one !== undefined) for (const name of names) units[name] = one;
  };
  for (const unit of [...Object.keys(WEIGHTS), ...Object.keys(VOLUMES)]) put(unit, TYPED[unit] ?? [unit]);
  for (const piece of Object.keys(ingredient.pieces)) {
    if (!(piece in VOLUMES)) put(piece, [piece, `${piece}s`, ...(piece === 'leaf' ? ['leaves'] : [])]);
  }
  return { ...GRAMS, units };
}

/** Rules of the measure beside the grams: a number alone could be cups or spoons. */
export function measureRules(ingredient: Measurable, words: string | undefined): AmountRules {
  return { ...gramsRules(ingredient, words), unitNeeded: true, example: '1 1/4 cup' };
}
