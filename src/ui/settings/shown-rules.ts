import type { FieldUnit } from '@/ui/field-units';
import type { AmountRules, FieldMeasures } from '@/ui/parse-amount';
import { forTyping } from './numerals';
import { type ShownUnit, shownUnit } from './shown-units';

/** A field as it is shown in this kitchen: its rules in shown units, and how its values go in and out. */
export interface ShownField {
  readonly rules: AmountRules;
  readonly toShown: (kept: number) => number;
  readonly toKept: (shown: number) => number;
  /** a kept value for typing */
  readonly text: (kept: number) => string;
  /** what an arrow key adds to what is shown, for one of what is kept */
  readonly step: number;
}

const clean = (value: number) => Number(value.toPrecision(12));

/** A number in shown units: one decimal more where it is below 1, and two figures however small it is. */
function shownText(value: number, { decimals }: ShownUnit): string {
  const size = Math.abs(value);
  const small = size === 0 ? 0 : Math.max(decimals + 1, 1 - Math.floor(Math.log10(size)));
  return forTyping(String(Number(value.toFixed(Math.min(size < 1 ? small : decimals, 6)))));
}

function shownMeasures(measures: FieldMeasures, { name, toShown }: ShownUnit): FieldMeasures {
  return {
    ...measures,
    valueOf: (reading) => {
      if (reading.unit === undefined) return reading.amount;
      const kept = measures.valueOf(reading);
      return kept === undefined ? undefined : toShown(kept);
    },
    say: (reading) =>
      reading.unit === undefined ? `${forTyping(String(reading.amount))} ${name}` : measures.say(reading),
  };
}

/**
 * A field of a kept unit in the kitchen's own.
 *
 * @param rules limits, unit and example in what is kept
 * @param write how a kept value is written where it is shown as it is kept
 */
export function shownField(rules: AmountRules, write: (value: number) => string): ShownField {
  const unit = shownUnit(rules.unit);
  if (!unit) {
    return {
      rules: { ...rules, example: forTyping(rules.example) },
      toShown: (kept) => kept,
      toKept: (shown) => shown,
      text: (kept) => forTyping(write(kept)),
      step: 1,
    };
  }
  const typed = ([name, factor]: readonly [string, FieldUnit]): [string, FieldUnit] => [
    name,
    (value) => clean(unit.toShown(typeof factor === 'number' ? value * factor : factor(value))),
  ];
  const example = Number(rules.example);
  return {
    rules: {
      ...rules,
      unit: unit.name,
      least: clean(unit.toShown(rules.least)),
      most: clean(unit.toShown(rules.most)),
      example: Number.isFinite(example) ? shownText(unit.toShown(example), unit) : rules.example,
      ...(rules.units
        ? { units: { ...Object.fromEntries(Object.entries(rules.units).map(typed)), [unit.name.toLowerCase()]: 1 } }
        : {}),
      ...(rules.measures ? { measures: shownMeasures(rules.measures, unit) } : {}),
    },
    toShown: (kept) => clean(unit.toShown(kept)),
    toKept: (shown) => Math.min(Math.max(Number(unit.toKept(shown).toFixed(4)), rules.least), rules.most),
    // A measure is written in its own words, whatever weights are shown in.
    text: rules.unitNeeded ? write : (kept) => shownText(unit.toShown(kept), unit),
    step: unit.step,
  };
}
