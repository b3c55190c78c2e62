import { shownAs } from './shown-as';

const GRAMS_PER_OUNCE = 28.349523125;
const MM_PER_INCH = 25.4;
const KG_PER_POUND = 0.45359237;

/** A unit as it is shown: how what is kept becomes it, and back. */
export interface ShownUnit {
  readonly name: string;
  readonly toShown: (kept: number) => number;
  readonly toKept: (shown: number) => number;
  /** most decimals it is written with */
  readonly decimals: number;
  /** what a press of an arrow key adds, for one of what is kept */
  readonly step: number;
}

const times = (name: string, factor: number, decimals: number, step: number): ShownUnit => ({
  name,
  toShown: (kept) => kept * factor,
  toKept: (shown) => shown / factor,
  decimals,
  step,
});

const FAHRENHEIT: ShownUnit = {
  name: '°F',
  toShown: (kept) => (kept * 9) / 5 + 32,
  toKept: (shown) => ((shown - 32) * 5) / 9,
  decimals: 1,
  step: 1,
};
const OUNCES = times('oz', 1 / GRAMS_PER_OUNCE, 2, 0.05);

/** A price by weight, as rules of fields name it. */
export const BY_WEIGHT = '/kg';
/** An amount of money, as rules of fields name it. */
export const MONEY = 'money';

/** The sign of the kitchen's money. */
function currencySign(): string {
  const { numbers, currency } = shownAs();
  const parts = new Intl.NumberFormat(numbers, {
    style: 'currency',
    currency,
    currencyDisplay: 'narrowSymbol',
  }).formatToParts(0);
  return parts.find(({ type }) => type === 'currency')?.value ?? currency;
}

/**
 * How a unit of what is kept is shown in this kitchen; nothing where it is shown as it is kept.
 *
 * @param unit `g`, `°C`, `mm`, `cm`, {@link BY_WEIGHT} or {@link MONEY}; any other is shown as it is
 */
export function shownUnit(unit: string): ShownUnit | undefined {
  const { temperature, weight, length } = shownAs();
  if (unit === '°C') return temperature === 'F' ? FAHRENHEIT : undefined;
  if (unit === 'g') return weight === 'oz' ? OUNCES : undefined;
  if (unit === 'mm') return length === 'in' ? times('in', 1 / MM_PER_INCH, 2, 0.05) : undefined;
  if (unit === 'cm') return length === 'in' ? times('in', 10 / MM_PER_INCH, 2, 0.5) : undefined;
  if (unit === MONEY) return times(currencySign(), 1, 2, 1);
  if (unit === BY_WEIGHT) {
    return weight === 'oz' ? times(`${currencySign()}/lb`, KG_PER_POUND, 2, 1) : times(`${currencySign()}/kg`, 1, 2, 1);
  }
  return undefined;
}

/** What a unit is called here. */
export const unitName = (unit: string) => shownUnit(unit)?.name ?? unit;
