import { roundToScale } from '@/core/matter/scale-rounding';
import type { FormulaFile } from '@/formats/formula-file';
import type { PutIn } from './rescue';

/**
 * A formula with what a rescue put in, in the proportion of the pan it was put into: on the row of the same ingredient where there is one, else
 * on a row of its own at the end.
 *
 * @param wholeG g in the pan when it was right, what was put in among it
 */
export function withPutIn(file: FormulaFile, putIn: readonly PutIn[], wholeG: number): FormulaFile {
  const addedG = putIn.reduce((sum, { grams }) => sum + grams, 0);
  const fileG = file.lines.reduce((sum, { grams }) => sum + grams, 0);
  const times = fileG / Math.max(wholeG - addedG, 1e-9);
  const lines = [...file.lines];
  for (const { ingredient, grams } of putIn) {
    const more = roundToScale(grams * times);
    const at = lines.findIndex((line) => line.ingredient === ingredient.id);
    const line = lines[at];
    if (line) lines[at] = { ...line, grams: roundToScale(line.grams + more) };
    else lines.push({ ingredient: ingredient.id, grams: more, locked: false });
  }
  return { ...file, lines };
}
