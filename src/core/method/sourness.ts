import { partOf } from '../matter/component-vector';
import type { MixingLine } from '../matter/mixing';

/** Milk may curdle below this pH and above this temperature (J). */
const SOUR_PH = 5.3;
export const CURDLES_C = 60;
/** pH of what nobody measured. */
const USUAL_PH = 6.5;
/** g of milk protein from which there is something to curdle. */
const LEAST_PROTEIN_G = 0.5;
/** Share of the mixture that must be acid itself: milk buffers the little in honey or glucose (J). */
const LEAST_ACID = 0.001;
/** pH to which a row is what makes the pan sour. */
const SOURS_PH = 5;

/** pH of lines together, by the mean of their hydrogen ions: nominal, good for a caution, never for keeping. */
export function phOf(lines: readonly MixingLine[]): number {
  const grams = lines.reduce((sum, each) => sum + each.grams, 0);
  const ions = lines.reduce((sum, each) => sum + each.grams * 10 ** -(each.ph ?? USUAL_PH), 0);
  return -Math.log10(ions / grams);
}

/** Whether lines may curdle together once they are hot: milk, and sour enough. */
export function mayCurdle(lines: readonly MixingLine[]): boolean {
  const of = (name: 'milk_protein' | 'acids') =>
    lines.reduce((sum, { perGram, grams }) => sum + grams * partOf(perGram, name), 0);
  const grams = lines.reduce((sum, each) => sum + each.grams, 0);
  return of('milk_protein') >= LEAST_PROTEIN_G && of('acids') >= LEAST_ACID * grams && phOf(lines) < SOUR_PH;
}

/** Whether a line is what makes a pan sour. */
export const isSour = ({ ph }: Pick<MixingLine, 'ph'>): boolean => ph !== undefined && ph <= SOURS_PH;
