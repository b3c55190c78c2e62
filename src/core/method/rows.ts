import type { MixingLine } from '../matter/mixing';
import { nth } from '../nth';
import type { GrainSize, PieceSize } from '../pan/lump';
import { type RowRole, roleOfRow } from './row-role';
import type { StepAddition } from './step';

/** What a cook noted beside a row, as far as a method reads it. */
export interface RowHint {
  readonly stage?: 'pan' | 'overChocolate' | 'offHeat' | 'coldAtEnd' | undefined;
  /** it soaks the gelatin */
  readonly soaks?: boolean | undefined;
  /** it is slaked with the starch */
  readonly slakes?: boolean | undefined;
  /** it is boiled and poured over */
  readonly poured?: boolean | undefined;
  /** how small its pieces or grains are */
  readonly size?: PieceSize | GrainSize | undefined;
}

/** The rows of a formula as a method sees them. */
export interface MethodRows {
  readonly lines: readonly MixingLine[];
  readonly roles: readonly RowRole[];
  readonly hints: readonly RowHint[];
  /** places of the rows of some roles that hold anything, in the order of the formula */
  readonly of: (...roles: readonly RowRole[]) => readonly number[];
  /** g of some rows together */
  readonly gramsOf: (rows: readonly number[]) => number;
}

/** Sorts the rows of a formula by what they are to a method. */
export function methodRows(lines: readonly MixingLine[], hints: readonly RowHint[] = []): MethodRows {
  const roles = lines.map(({ perGram }) => roleOfRow(perGram));
  return {
    lines,
    roles,
    hints: lines.map((_, i) => hints[i] ?? {}),
    of: (...wanted) => roles.flatMap((role, i) => (wanted.includes(role) && nth(lines, i).grams > 0 ? [i] : [])),
    gramsOf: (rows) => rows.reduce((sum, row) => sum + nth(lines, row).grams, 0),
  };
}

/** Rows that go in whole. */
export const whole = (rows: readonly number[]): StepAddition[] => rows.map((row) => ({ row, share: 1 }));
