import { GRAMS } from '@/ui/parse-amount';
import { numeral } from '@/ui/settings/numerals';
import { shownUnit, unitName } from '@/ui/settings/shown-units';

/** What a step adds to a weight as it is shown: 1 g, or a twentieth of an ounce. */
const oneStep = () => shownUnit('g')?.step ?? 1;

/** Grams of a row with so many steps more, within what a row may hold. */
export function stepped(grams: number, steps: number): number {
  const unit = shownUnit('g');
  const next = unit
    ? unit.toKept(Math.round((unit.toShown(grams) + steps * unit.step) * 100) / 100)
    : Math.round((grams + steps) * 10) / 10;
  return Math.min(Math.max(Number(next.toFixed(4)), 0), GRAMS.most);
}

/** So many steps without their unit: `10`, `0.5`. */
export const stepNumber = (steps: number) => numeral(steps * oneStep(), 2);

/** So many steps: `10 g`, `0.5 oz`. */
export const stepText = (steps: number) => `${stepNumber(steps)}\u00a0${unitName('g')}`;
