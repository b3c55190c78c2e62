import { nth } from '../nth';

/** Below this a line is weighed to 0.1 g, from it on to 1 g: what the scale shows. */
const SMALL_LINE_G = 10;

/** What a kitchen scale shows for an amount, g. */
export function scaleStep(grams: number): number {
  return grams < SMALL_LINE_G ? 0.1 : 1;
}

/** Takes the binary dust off a sum of tenths. */
function tidy(grams: number): number {
  return Math.round(grams * 1e6) / 1e6;
}

function toStep(grams: number, step: number): number {
  return tidy(Math.round(grams / step) * step);
}

/**
 * Rounds balanced grams to what the scale shows, total kept.
 *
 * A line that moved by less than half a step keeps the grams it had. What rounding leaves over goes to the largest line
 * that moved and may take it; tenths
 * of a gram go to the small lines first, where the scale shows them, if `tenthsToSmall`.
 *
 * @param lines grams before and after, and the least and most allowed; locked lines are left out by the caller
 * @param totalG g the lines must sum to
 * @param options `step` forces one step for all lines
 * @returns grams in the same order; `undefined` when no line can take what is left over
 */
export function roundLines(
  lines: readonly { from: number; to: number; least: number; most: number }[],
  totalG: number,
  options: { step?: number; tenthsToSmall?: boolean } = {},
): number[] | undefined {
  const stepOf = (grams: number) => options.step ?? scaleStep(grams);
  const rounded = lines.map(({ from, to, least, most }) => {
    const step = stepOf(to);
    if (Math.abs(to - from) < step / 2 && from >= least && from <= most) return from;
    const near = toStep(to, step);
    if (near > most) return tidy(Math.floor(most / step + 1e-9) * step);
    return Math.max(near, tidy(Math.ceil(least / step - 1e-9) * step));
  });
  let left = tidy(totalG - rounded.reduce((sum, grams) => sum + grams, 0));
  const give = (index: number, amount: number) => {
    const line = nth(lines, index);
    const wanted = tidy(nth(rounded, index) + amount);
    if (wanted < line.least || wanted > line.most || wanted < 0) return false;
    rounded[index] = wanted;
    left = tidy(left - amount);
    return true;
  };
  const hasMoved = (index: number) => rounded[index] !== lines[index]?.from;
  const bySize = lines
    .map((_, index) => index)
    .sort((a, b) => Number(hasMoved(b)) - Number(hasMoved(a)) || nth(rounded, b) - nth(rounded, a));
  if (options.tenthsToSmall) {
    const small = bySize.filter((index) => nth(rounded, index) < SMALL_LINE_G && nth(rounded, index) > 0);
    for (const index of small) {
      const fraction = tidy(left - Math.round(left));
      if (fraction === 0) break;
      give(index, fraction);
    }
  }
  if (left === 0) return rounded;
  const taker = bySize.find((index) => give(index, left));
  return taker === undefined ? undefined : rounded;
}
