import type { Formula } from '@/core/formula/formula';
import { changeByMore, type MomentChange } from '@/core/predict/sensitivity';

/** g by which the bench tries out more of a row. */
export const TRIED_G = 10;

/** What {@link TRIED_G} more of one of its lines would change, moment by moment; nothing for a line that is not there. */
export function triedMore(formula: Formula, place: number): readonly MomentChange[] | undefined {
  const line = formula.lines[place];
  return line && changeByMore(formula, line.perGram, TRIED_G, line.pricePerKg);
}
