import type { GateQuantity } from '@/core/formula/gate-quantities';
import type { Moment } from '@/core/formula/moments';
import { celsius, priceByWeight, type Quantity, significant, stress, viscosity, waterActivity } from './format';
import { momentPhrase } from './moment-words';
import type { AmountRules } from './parse-amount';
import { fixed } from './settings/numerals';
import { BY_WEIGHT } from './settings/shown-units';

/** Above this a moment is a pour, below it a set (°C). */
export const POUR_ABOVE_C = 28;

/** How a quantity is said, shown and typed. */
export interface QuantityWords {
  /** in a list of choices */
  readonly name: string;
  /** inside a sentence */
  readonly short: string;
  /** above a value at a moment */
  readonly title: (moment: Moment) => string;
  readonly show: (value: number) => Quantity;
  /** beside a missed target */
  readonly tooLow: string;
  readonly tooHigh: string;
  readonly rules: AmountRules;
  /** a gate to begin with */
  readonly usual: { readonly low?: number; readonly high?: number };
  /** the whole track, for quantities that live on one; a logarithmic one around the target otherwise */
  readonly track?: readonly [number, number];
}

const STRESS_RULES: AmountRules = { least: 0, most: 1e7, unit: 'Pa', units: { pa: 1, kpa: 1000 }, example: '200' };
const share = (example: string): AmountRules => ({ least: 0, most: 1, unit: '', units: {}, example });
const plain = (unit: string, most: number, example: string): AmountRules => ({
  least: 0,
  most,
  unit,
  units: unit ? { [unit.toLowerCase()]: 1 } : {},
  example,
});

const withDecimals =
  (digits: number, unit = '') =>
  (value: number): Quantity => ({ number: fixed(value, digits), unit });

function risk(name: string): QuantityWords {
  return {
    name: `Risk: ${name}, 0–1`,
    short: `the risk “${name}”`,
    title: (moment) => `Risk ${name}, ${momentPhrase(moment.name)}`,
    show: withDecimals(2),
    tooLow: 'lower than wanted',
    tooHigh: 'too likely',
    rules: share('0.2'),
    usual: { high: 0.2 },
    track: [0, 1],
  };
}

/** A part of the batch, as a percentage. */
function partOfBatch(
  title: string,
  { example, ...words }: Pick<QuantityWords, 'short' | 'tooLow' | 'tooHigh' | 'usual'> & { example: string },
): QuantityWords {
  return {
    name: `${title}, % of the batch`,
    title: () => title,
    show: (value) => ({ number: significant(value), unit: '%' }),
    rules: plain('%', 100, example),
    track: [0, 60],
    ...words,
  };
}

export const QUANTITY_WORDS: Record<GateQuantity, QuantityWords> = {
  apparentViscosityPaS: {
    name: 'Flow (apparent viscosity)',
    short: 'flow',
    title: ({ temperatureC }) => `Flow at ${celsius(temperatureC)}`,
    show: viscosity,
    tooLow: 'too thin',
    tooHigh: 'too thick',
    rules: { least: 0, most: 1e6, unit: 'Pa·s', units: { pa·s: 1, pas: 1 }, example: '1.5' },
    usual: { low: 1, high: 5 },
  },
  yieldStressPa: {
    name: 'Cling or set (yield stress)',
    short: 'set or cling',
    title: ({ temperatureC }) => `${temperatureC >= POUR_ABOVE_C ? 'Cling' : 'Set'} at ${celsius(temperatureC)}`,
    show: stress,
    tooLow: 'too loose',
    tooHigh: 'too stiff',
    rules: STRESS_RULES,
    usual: { low: 150, high: 5000 },
  },
  resistancePa: {
    name: 'Resistance to the spoon',
    short: 'resistance',
    title: ({ temperatureC }) => `Resistance at ${celsius(temperatureC)}`,
    show: stress,
    tooLow: 'too loose',
    tooHigh: 'too stiff',
    rules: { ...STRESS_RULES, example: '40' },
    usual: { low: 10, high: 60 },
  },
  shine: {
    name: 'Shine, 0–100',
    short: 'shine',
    title: ({ temperatureC }) => `Shine at ${celsius(temperatureC)}`,
    show: withDecimals(0),
    tooLow: 'too dull',
    tooHigh: 'too shiny',
    rules: plain('', 100, '70'),
    usual: { low: 60 },
    track: [0, 100],
  },
  waterActivity: {
    name: 'Water activity',
    short: 'water activity',
    title: () => 'Water activity',
    show: waterActivity,
    tooLow: 'too dry',
    tooHigh: 'too wet to keep',
    rules: { ...share('0.9'), unit: 'aw', units: { aw: 1 } },
    usual: { high: 0.9 },
    track: [0.7, 1],
  },
  sweetness: {
    name: 'Sweetness (as g of sugar in 100 g)',
    short: 'sweetness',
    title: () => 'Sweetness',
    show: withDecimals(0),
    tooLow: 'not sweet enough',
    tooHigh: 'too sweet',
    rules: plain('', 150, '24'),
    usual: { low: 15, high: 30 },
    track: [0, 60],
  },
  tasteBalance: {
    name: 'Bitter 0 – sweet 1',
    short: 'the balance of bitter and sweet',
    title: () => 'Bitter to sweet',
    show: withDecimals(2),
    tooLow: 'too bitter',
    tooHigh: 'too sweet for its cocoa',
    rules: share('0.4'),
    usual: { low: 0.35, high: 0.55 },
    track: [0, 1],
  },
  sugarPercent: partOfBatch('Sugar', {
    short: 'sugar',
    tooLow: 'less sugar than wanted',
    tooHigh: 'too much sugar',
    example: '18',
    usual: { high: 20 },
  }),
  cocoaPercent: partOfBatch('Cocoa', {
    short: 'cocoa %',
    tooLow: 'too little cocoa',
    tooHigh: 'too much cocoa',
    example: '25',
    usual: { low: 20 },
  }),
  alcoholPercentVol: {
    name: 'Alcohol, % vol',
    short: 'alcohol',
    title: () => 'Alcohol',
    show: withDecimals(1, '% vol'),
    tooLow: 'too little spirit',
    tooHigh: 'too much alcohol',
    rules: plain('%', 60, '1.5'),
    usual: { high: 0.5 },
    track: [0, 15],
  },
  costPerKg: {
    name: 'Cost by weight',
    short: 'cost',
    title: () => 'Cost',
    show: (value) => ({ number: priceByWeight(value), unit: '' }),
    tooLow: 'cheaper than wanted',
    tooHigh: 'too dear',
    rules: { ...plain(BY_WEIGHT, 10_000, '7.50'), units: {} },
    usual: { high: 8 },
  },
  brokenRisk: risk('splits'),
  seizedRisk: risk('seizes'),
  grainyRisk: risk('grainy'),
  chalkyRisk: risk('chalky'),
  gummyRisk: risk('gluey'),
  weepingRisk: risk('weeps'),
  skinRisk: risk('skin'),
  bloomRisk: risk('bloom'),
};
