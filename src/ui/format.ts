import { fixed, numeral } from './settings/numerals';
import { shownAs } from './settings/shown-as';
import { BY_WEIGHT, shownUnit, unitName } from './settings/shown-units';

const THIN_SPACE = '\u202f';
const NO_BREAK = '\u00a0';

/** A number with so many significant digits, without exponent and needless zeros. */
export function significant(value: number, digits = 2): string {
  if (!Number.isFinite(value)) return '–';
  if (value === 0) return '0';
  const rounded = Number(value.toPrecision(digits));
  const decimals = digits - 1 - Math.floor(Math.log10(Math.abs(rounded)));
  return fixed(rounded, Math.min(Math.max(decimals, 0), 6));
}

/** A weight without its unit, as a scale shows it: tenths of a gram only where there are some, finer below a gram, hundredths of an ounce below a pound. */
export function grams(value: number): string {
  const unit = shownUnit('g');
  // A pinch is weighed finer than a pan.
  if (!unit) return numeral(value, Math.abs(value) < 0.1 ? 3 : Math.abs(value) < 1 ? 2 : 1);
  const shown = unit.toShown(value);
  return Math.abs(shown) > 0 && Math.abs(shown) < 0.1
    ? significant(shown)
    : numeral(shown, Math.abs(shown) < 16 ? 2 : 1);
}

/** A weight: `1 250 g`, `44.1 oz`. */
export function weight(value: number): string {
  return `${grams(value)}${NO_BREAK}${unitName('g')}`;
}

/**
 * A length that is kept in mm, small enough to be said in them: `2 mm`, `0.08 in`.
 *
 * @param digits significant ones of what is predicted; what was typed has no doubt
 */
export function millimetres(value: number, digits?: number): string {
  const unit = shownUnit('mm');
  const shown = unit?.toShown(value) ?? value;
  const text = digits === undefined ? numeral(shown, unit ? 2 : 1) : significant(shown, digits);
  return `${text}${THIN_SPACE}${unitName('mm')}`;
}

/** A length that is kept in cm: `24 cm`, `9.4 in`. */
export function centimetres(value: number): string {
  return `${numeral(shownUnit('cm')?.toShown(value) ?? value, 1)}${THIN_SPACE}${unitName('cm')}`;
}

/** An amount of money: `€0.35`, `0,35 €`. */
export function money(value: number): string {
  const { numbers, currency } = shownAs();
  return new Intl.NumberFormat(numbers, {
    style: 'currency',
    currency,
    currencyDisplay: 'narrowSymbol',
    numberingSystem: 'latn',
  }).format(value);
}

/** A price by weight: `€9.50/kg`. */
export function priceByWeight(perKg: number): string {
  const unit = shownUnit(BY_WEIGHT);
  return `${money(unit?.toShown(perKg) ?? perKg)}/${shownAs().weight === 'oz' ? 'lb' : 'kg'}`;
}

/** Grams for typing: no grouping. */
export function gramsPlain(value: number): string {
  return String(Math.round(value * 1000) / 1000);
}

/** A share as a percentage without false precision. */
export function percent(share: number): string {
  const value = 100 * share;
  return value > 0 && value < 1 ? `${fixed(value, 1)}${THIN_SPACE}%` : `${numeral(value, 0)}${THIN_SPACE}%`;
}

/** A number and its unit. */
export interface Quantity {
  readonly number: string;
  readonly unit: string;
}

/** Stress in Pa or kPa. */
export function stress(pa: number): Quantity {
  if (pa < 0.05) return { number: 'none', unit: '' };
  return pa >= 1000 ? { number: significant(pa / 1000), unit: 'kPa' } : { number: significant(pa), unit: 'Pa' };
}

/** Viscosity in Pa·s. */
export function viscosity(paS: number): Quantity {
  return { number: significant(paS), unit: 'Pa·s' };
}

/** Water activity: two decimals, since the model knows no more. */
export function waterActivity(aw: number): Quantity {
  return { number: fixed(aw, 2), unit: '' };
}

/** A temperature in the kitchen's degrees, without decimals it does not need: `36.5 °C`, `98 °F`. */
export function celsius(temperatureC: number): string {
  return `${degrees(temperatureC)}${THIN_SPACE}${unitName('°C')}`;
}

/** A temperature on an axis: its number alone. */
export function degrees(temperatureC: number): string {
  const unit = shownUnit('°C');
  return unit ? numeral(unit.toShown(temperatureC), 0) : numeral(temperatureC, 1);
}

/** Hours as a cook says them. */
export function hours(value: number): string {
  return value < 1 ? `${numeral(value * 60, 0)}${THIN_SPACE}min` : `${numeral(value, 1)}${THIN_SPACE}h`;
}

const LIST = new Intl.ListFormat('en-GB');

/** `one`, `one and two`, `one, two and three`. */
export function listed(parts: readonly string[]): string {
  return LIST.format(parts);
}
