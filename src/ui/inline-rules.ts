import { CELSIUS_UNITS, type FieldUnits, HOUR_UNITS, lengthUnits } from './field-units';
import type { AmountRules } from './parse-amount';
import { MONEY } from './settings/shown-units';

/** What may be typed in a field of a unit, whatever the kitchen is used to. */
function unitsOf(unit: string): FieldUnits {
  if (unit === '°C') return CELSIUS_UNITS;
  if (unit === 'mm' || unit === 'cm') return lengthUnits(unit);
  if (unit === 'h') return HOUR_UNITS;
  return unit === '' || unit === MONEY ? {} : { [unit.toLowerCase()]: 1 };
}

/** Rules of a number in a sentence. */
export function inlineRules([least, most]: readonly [number, number], unit: string, example: string): AmountRules {
  return { least, most, unit, units: unitsOf(unit), example };
}

/** A number in a sentence: two decimals at most. */
export const inlinePlain = (value: number) => String(Math.round(value * 100) / 100);
