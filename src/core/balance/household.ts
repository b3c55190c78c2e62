import type { Formula } from '../formula/formula';
import { nth } from '../nth';
import { balanceProblem } from './problem';
import { isBetter, look, type Point } from './sequential-program';

/** For a line of the formula and the grams wanted: the grams a cook's measures can fill, or nothing when it is weighed. */
export type Fillable = (line: number, grams: number) => readonly number[] | undefined;

const MOST_ROUNDS = 60;

/**
 * Rounds balanced grams to what a cook's cups and spoons can fill, moving single lines from one filling to the next as long as the gates are
 * missed by less, or the change is smaller. The total moves with the fillings.
 *
 * @param formula what was asked; changes are counted from its grams
 * @param grams of every line, as balanced
 * @param fillable what can be filled of each line
 * @returns grams of every line
 */
export function roundToFillings(formula: Formula, grams: readonly number[], fillable: Fillable): readonly number[] {
  const problem = balanceProblem(formula, { inward: 0, freeTotal: true });
  const { free, scale } = problem;
  const choices = free.map((index) => {
    const wanted = nth(grams, index);
    return fillable(index, wanted)?.toSorted((a, b) => Math.abs(a - wanted) - Math.abs(b - wanted)) ?? [wanted];
  });
  const startOf = (k: number) => formula.lines[nth(free, k)]?.grams ?? 0;
  const pointAt = (picked: readonly number[]): Point =>
    look(
      problem,
      picked.map((g, k) => (g - startOf(k)) / nth(scale, k)),
    );
  let picked = choices.map((each, k) => each[0] ?? nth(grams, nth(free, k)));
  let best = pointAt(picked);
  for (let round = 0; round < MOST_ROUNDS; round++) {
    let found: { picked: number[]; point: Point } | undefined;
    for (let k = 0; k < choices.length; k++) {
      for (const filling of nth(choices, k)) {
        if (filling === picked[k]) continue;
        const next = picked.with(k, filling);
        const point = pointAt(next);
        if (isBetter(point, found?.point ?? best)) found = { picked: next, point };
      }
    }
    if (!found) break;
    picked = found.picked;
    best = found.point;
  }
  return grams.map((g, index) => {
    const k = free.indexOf(index);
    return k < 0 ? g : nth(picked, k);
  });
}
