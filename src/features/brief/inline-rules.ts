import type { AmountRules } from '@/ui/parse-amount';

/** Rules of a number in a sentence. */
export function inlineRules([least, most]: readonly [number, number], unit: string, example: string): AmountRules {
  const units: Record<string, number> = unit === '' ? {} : { [unit.toLowerCase()]: 1 };
  if (unit === '°C') units.c = 1;
  return { least, most, unit, units, example };
}

/** A number in a sentence: two decimals at most. */
export const inlinePlain = (value: number) => String(Math.round(value * 100) / 100);
