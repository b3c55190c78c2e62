import {
  type CupSystem,
  formIn,
  gramsOfOne,
  gramsPerMl,
  isVolume,
  type KitchenAmount,
  kitchenAmount,
  type Measurable,
  type MeasureSystem,
} from '@/core/matter/measures';
import type { AmountReading, ReadAmount } from '@/formats/amount';
import { foldWords } from '@/formats/fold-words';
import { lookUp } from '@/formats/look-up';
import { weight } from './format';
import { type AmountRules, GRAMS } from './parse-amount';
import { forTyping, numeral } from './settings/numerals';
import { shownAs } from './settings/shown-as';

/** How units are written beside a number; pieces are written as they are called. */
const UNIT_TEXT: Readonly<Record<string, string>> = {
  flOz: 'fl oz',
  usCup: 'US cup',
  auTbsp: 'tbsp (20 ml)',
};

const FRACTIONS: readonly (readonly [value: number, sign: string])[] = [
  [1 / 8, '⅛'],
  [1 / 4, '¼'],
  [1 / 3, '⅓'],
  [3 / 8, '⅜'],
  [1 / 2, '½'],
  [5 / 8, '⅝'],
  [2 / 3, '⅔'],
  [3 / 4, '¾'],
  [7 / 8, '⅞'],
];

/** A number as cooks write it: `1 ¼`. */
export function cooksNumber(value: number): string {
  const whole = Math.floor(value + 1e-6);
  const rest = value - whole;
  if (rest < 0.02) return String(whole);
  const fraction = FRACTIONS.find(([part]) => Math.abs(part - rest) < 0.02);
  if (!fraction) return forTyping(String(Math.round(value * 100) / 100));
  return whole === 0 ? fraction[1] : `${whole} ${fraction[1]}`;
}

/** A measure as cooks write it: `1 ¼ cup`, `≈ 2 leaf` where it is further than 3 % off. */
export function measureText({ amount, unit, isAbout }: Pick<KitchenAmount, 'amount' | 'unit' | 'isAbout'>): string {
  return `${isAbout ? '≈\u00a0' : ''}${cooksNumber(amount)}\u00a0${lookUp(UNIT_TEXT, unit) ?? unit}`;
}

/** What stands beside grams: the nearest measure the cook can fill, or nothing. */
export function besideGrams(
  ingredient: Measurable | undefined,
  grams: number,
  system: MeasureSystem,
  words: string | undefined,
  cups: CupSystem = 'metric',
): string | undefined {
  if (!ingredient) return undefined;
  // Where ounces are weighed, grams stand beside them.
  if (system === 'ounces' && shownAs().weight === 'oz') return `${numeral(grams, 1)}\u00a0g`;
  const found = kitchenAmount(ingredient, grams, system, formIn(ingredient, words), cups);
  return found && measureText(found);
}

/** What an amount of an ingredient weighs, g; nothing where it is not measured so. A size written beside a cup goes before the kitchen's own. */
function gramsOfReading(
  ingredient: Measurable,
  { amount, unit, millilitres }: AmountReading & Pick<ReadAmount, 'millilitres'>,
  words: string | undefined,
  cups: CupSystem,
): number | undefined {
  if (unit === undefined) return amount;
  const form = formIn(ingredient, words);
  if (millilitres !== undefined && isVolume(unit)) {
    const perMl = gramsPerMl(ingredient, form);
    return perMl === undefined ? undefined : amount * millilitres * perMl;
  }
  const one = gramsOfOne(ingredient, unit, form, cups);
  return one === undefined ? undefined : amount * one;
}

/** The piece of an ingredient a word names, in one or many. */
function pieceNamed({ pieces }: Measurable, word: string): string | undefined {
  const said = foldWords(word);
  return Object.keys(pieces).find(
    (piece) => said === piece || said === `${piece}s` || (piece === 'leaf' && said === 'leaves'),
  );
}

/**
 * Rules of a grams field that also reads the ingredient's own measures: `1 1/4 cup`, `2 sticks`, `2 EL`, `2 tbsp butter` in the butter's own row.
 *
 * @param ingredient what the larder knows of the row; plain weights are read without it
 * @param name of the row
 */
export function gramsRules(
  ingredient: Measurable | undefined,
  words: string | undefined,
  cups: CupSystem = 'metric',
  name?: string,
): AmountRules {
  if (!ingredient) return GRAMS;
  const weighs = (reading: AmountReading & Pick<ReadAmount, 'millilitres'>) =>
    gramsOfReading(ingredient, reading, words, cups);
  return {
    ...GRAMS,
    measures: {
      valueOf: weighs,
      names: ['g', 'kg', 'oz', 'lb', ...(gramsPerMl(ingredient) ? ['cups'] : []), ...Object.keys(ingredient.pieces)],
      thing: name,
      piece: (word) => pieceNamed(ingredient, word),
      say: (reading) => {
        const value = weighs(reading);
        const { amount, unit = 'g' } = reading;
        const text = measureText({ amount, unit, isAbout: false });
        return value === undefined || unit === 'g' ? text : `${text} = ${weight(value)}`;
      },
    },
  };
}

/** Rules of the measure beside the grams: a number alone could be cups or spoons. */
export function measureRules(
  ingredient: Measurable,
  words: string | undefined,
  cups: CupSystem = 'metric',
  name?: string,
): AmountRules {
  return { ...gramsRules(ingredient, words, cups, name), unitNeeded: true, example: '1 1/4 cup' };
}
