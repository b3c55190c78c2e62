const THIN_SPACE = '\u202f';

/** Digits in groups of three, as on the labels of the house: `1 250`. */
function grouped(text: string): string {
  const [whole = '', decimals] = text.split('.');
  const spaced = whole.replace(/(\d)(?=(\d{3})+$)/g, `$1${THIN_SPACE}`);
  return decimals === undefined ? spaced : `${spaced}.${decimals}`;
}

/** A number with so many significant digits, without exponent and needless zeros. */
export function significant(value: number, digits = 2): string {
  if (!Number.isFinite(value)) return '–';
  if (value === 0) return '0';
  const rounded = Number(value.toPrecision(digits));
  const decimals = digits - 1 - Math.floor(Math.log10(Math.abs(rounded)));
  return grouped(rounded.toFixed(Math.min(Math.max(decimals, 0), 6)));
}

/** Grams as a scale shows them: tenths only where there are some. */
export function grams(value: number): string {
  return grouped(String(Math.round(value * 10) / 10));
}

/** Grams for typing: no grouping. */
export function gramsPlain(value: number): string {
  return String(Math.round(value * 1000) / 1000);
}

/** A share as a percentage without false precision. */
export function percent(share: number): string {
  const value = 100 * share;
  return value > 0 && value < 1 ? `${value.toFixed(1)}${THIN_SPACE}%` : `${Math.round(value)}${THIN_SPACE}%`;
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
  return { number: aw.toFixed(2), unit: '' };
}

/** A temperature without decimals it does not need. */
export function celsius(temperatureC: number): string {
  return `${Math.round(temperatureC * 10) / 10}${THIN_SPACE}°C`;
}

/** Hours as a cook says them. */
export function hours(value: number): string {
  return value < 1 ? `${Math.round(value * 60)}${THIN_SPACE}min` : `${Math.round(value * 10) / 10}${THIN_SPACE}h`;
}

const LIST = new Intl.ListFormat('en-GB');

/** `one`, `one and two`, `one, two and three`. */
export function listed(parts: readonly string[]): string {
  return LIST.format(parts);
}
