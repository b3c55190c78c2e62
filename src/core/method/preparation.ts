import { nth } from '../nth';
import type { FollowedStep } from './follow-method';
import type { MethodRows } from './rows';

/** s to fetch, weigh and put away one ingredient (J). */
const WEIGH_S = 20;
/** s for 100 g at the knife, by how small it gets (J). */
const KNIFE_S: Readonly<Record<string, number>> = {
  grated: 150,
  choppedFine: 60,
  choppedCoarse: 35,
  butterCubes: 30,
  pieces: 15,
};

/** What hands do before the clock of a method starts. */
export interface Preparation {
  /** s to weigh all rows, and at the knife or grater */
  readonly weighS: number;
  readonly knifeS: number;
  /** rows that are chopped, cut or grated */
  readonly cutRows: readonly number[];
}

/**
 * Weighing and chopping before a method begins. Chocolate that is not noted as chopped comes as callets; butter is cut into dice.
 *
 * @returns s of both, 0 for an empty pan
 */
export function preparationOf(rows: MethodRows, followed: readonly FollowedStep[]): Preparation {
  const adds = followed.flatMap(({ step }) => step.adds);
  const used = rows.lines.flatMap(({ grams }, row) => (grams > 0 ? [row] : []));
  const knifeOf = (row: number) => {
    const role = nth(rows.roles, row);
    if (role !== 'chocolate' && role !== 'butter') return 0;
    const size = adds.find((each) => each.row === row)?.size ?? nth(rows.hints, row).size;
    const perHundred = KNIFE_S[size ?? (role === 'butter' ? 'butterCubes' : '')] ?? 0;
    return (perHundred * nth(rows.lines, row).grams) / 100;
  };
  return {
    weighS: WEIGH_S * used.length,
    knifeS: used.reduce((sum, row) => sum + knifeOf(row), 0),
    cutRows: used.filter((row) => knifeOf(row) > 0),
  };
}
