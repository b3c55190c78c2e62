import type { ComponentVector } from '../matter/components';
import { boiledOff, boilOff, mix } from '../matter/mixing';
import type { Process } from '../matter/process';
import type { Gate } from './gates';
import type { Moment } from './moments';

/** Families of ingredients whose composition scatters in the same way. */
export type DoubtKind = 'chocolate' | 'dairy' | 'other';

/** How a line is measured out. */
export interface Measured {
  /** standard deviation of ln(grams) when measured by volume or by the piece; a scale has only its resolution */
  readonly lnSd: number;
}

/** One row of the pan. */
export interface FormulaLine {
  /** id of the ingredient */
  readonly ingredient: string;
  /** what 1 g of it is made of, g per g */
  readonly perGram: ComponentVector;
  /** g, 0 or more */
  readonly grams: number;
  readonly locked: boolean;
  /** g, least and most a balance may use */
  readonly minGrams?: number | undefined;
  readonly maxGrams?: number | undefined;
  /** lines with the same tie keep their proportion in a balance */
  readonly tie?: string | undefined;
  /** a kilogram, in the money of the kitchen; counts as free when left out */
  readonly pricePerKg?: number | undefined;
  /** pH, where it is known */
  readonly ph?: number | undefined;
  /** what is doubtful about its composition; nothing when left out */
  readonly kind?: DoubtKind | undefined;
  /** how it is measured out; weighed when left out */
  readonly measured?: Measured | undefined;
}

/** A formula with its ingredients resolved: all that prediction and balance need. */
export interface Formula {
  readonly lines: readonly FormulaLine[];
  readonly process: Process;
  readonly moments: readonly Moment[];
  readonly gates: readonly Gate[];
  /** g of water that boil off while it is made; none when left out */
  readonly evaporationG?: number | undefined;
}

/** Components of a formula as it leaves the stove: what was weighed in less what boiled off, g. */
export function finishedComponents({
  lines,
  evaporationG = 0,
}: Pick<Formula, 'lines' | 'evaporationG'>): ComponentVector {
  return boilOff(mix(lines), evaporationG);
}

/** What a formula weighs as it leaves the stove, g. */
export function finishedMass({ lines, evaporationG = 0 }: Pick<Formula, 'lines' | 'evaporationG'>): number {
  const weighedG = lines.reduce((sum, line) => sum + line.grams, 0);
  return evaporationG > 0 ? weighedG - boiledOff(mix(lines), evaporationG) : weighedG;
}

/** What all of a formula's lines cost, in thousandths of the money of the kitchen; lines without a price count as free. */
export function costOfLines(lines: readonly Pick<FormulaLine, 'grams' | 'pricePerKg'>[]): number {
  return lines.reduce((sum, line) => sum + line.grams * (line.pricePerKg ?? 0), 0);
}
