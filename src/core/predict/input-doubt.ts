import type { FormulaLine } from '../formula/formula';
import { COMPONENT_COUNT, COMPONENT_INDEX, type ComponentName, type ComponentVector } from '../matter/components';
import { nth } from '../nth';

/** Standard deviation of a weighing: half a per cent, and the steps of the scale (J). */
const SCALE_SHARE = 0.005;
const STEP_OF_UNIFORM = 1 / Math.sqrt(12);

/** Percentage points by which a pack differs from what is printed or typical (J). */
const CHOCOLATE_POINTS = 1.5;
const CREAM_FAT_POINTS = 1;
const OTHER_WATER_POINTS = 1;

/** One independent thing not known: the grams by which the batch differs per standard deviation. */
export type DoubtDirection = ComponentVector;

/** The largest part of 1 g beside those named, which makes room when they grow. */
function counterpart(perGram: ComponentVector, beside: readonly number[]): number | undefined {
  let largest: number | undefined;
  for (let i = 0; i < COMPONENT_COUNT; i++) {
    if (beside.includes(i) || nth(perGram, i) <= 0) continue;
    if (largest === undefined || nth(perGram, i) > nth(perGram, largest)) largest = i;
  }
  return largest;
}

/** A shift of some percentage points of a line from its largest other part into one of its parts. */
function shift(line: FormulaLine, into: ComponentName, beside: readonly ComponentName[], points: number) {
  const index = COMPONENT_INDEX[into];
  const held = nth(line.perGram, index);
  const from = counterpart(line.perGram, [index, ...beside.map((name) => COMPONENT_INDEX[name])]);
  if (held <= 0 || from === undefined) return [];
  const moved = (Math.min(points, 50 * held, 50 * nth(line.perGram, from)) / 100) * line.grams;
  const direction = new Float64Array(COMPONENT_COUNT);
  direction[index] = moved;
  direction[from] = -moved;
  return [direction];
}

/** Doubt about what the pack holds. */
function compositionDoubt(line: FormulaLine): DoubtDirection[] {
  switch (line.kind) {
    case 'chocolate':
      return [
        ...shift(line, 'cocoa_butter', ['cocoa_solids'], CHOCOLATE_POINTS),
        ...shift(line, 'cocoa_solids', ['cocoa_butter'], CHOCOLATE_POINTS),
      ];
    case 'dairy':
      return shift(line, 'milk_fat', [], CREAM_FAT_POINTS);
    case 'other':
      return shift(line, 'water', [], OTHER_WATER_POINTS);
    default:
      return [];
  }
}

/** Doubt about how much of it is in the pan. */
function amountDoubt(line: FormulaLine): DoubtDirection {
  const step = line.grams < 10 ? 0.1 : 1;
  const sd = line.measured
    ? line.measured.lnSd * line.grams
    : Math.hypot(SCALE_SHARE * line.grams, STEP_OF_UNIFORM * step);
  return line.perGram.map((part) => part * sd);
}

/**
 * Everything not known about what is in the pan, as independent directions: each line's amount by its scale or measure, and the
 * composition of chocolates (cocoa butter and cocoa solids ±1.5 points), creams (fat ±1 point) and the rest (water ±1 point). Judgement.
 *
 * @param lines of a formula
 * @returns g of each component a standard deviation, one vector for each independent doubt
 */
export function inputDoubts(lines: readonly FormulaLine[]): DoubtDirection[] {
  return lines.filter((line) => line.grams > 0).flatMap((line) => [amountDoubt(line), ...compositionDoubt(line)]);
}
