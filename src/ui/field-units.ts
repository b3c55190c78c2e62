/** What one of a typed unit is in the field's own: a factor, or for a scale with another zero how it is turned. */
export type FieldUnit = number | ((value: number) => number);
export type FieldUnits = Readonly<Record<string, FieldUnit>>;

const fromFahrenheit = (value: number) => Math.round(((value - 32) * 50) / 9) / 10;

/** Temperatures in a field of °C. */
export const CELSIUS_UNITS: FieldUnits = { '°c': 1, c: 1, '°f': fromFahrenheit, f: fromFahrenheit };

/** Times in a field of hours. */
export const HOUR_UNITS: FieldUnits = { h: 1, min: 1 / 60, d: 24 };

/** mm of one; what it is called in messages stands first. */
const LENGTHS: Readonly<Record<string, number>> = {
  mm: 1,
  cm: 10,
  in: 25.4,
  inch: 25.4,
  inches: 25.4,
  '"': 25.4,
  '″': 25.4,
};

/** Lengths in a field of mm or cm. */
export function lengthUnits(unit: 'mm' | 'cm'): FieldUnits {
  const one = LENGTHS[unit] ?? 1;
  return Object.fromEntries(Object.entries(LENGTHS).map(([name, mm]) => [name, mm / one]));
}
