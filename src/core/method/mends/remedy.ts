import { nth } from '../../nth';
import type { MethodKitchen } from '../kitchen';
import type { RowRole } from '../row-role';
import type { MethodRows } from '../rows';
import type { MethodStep } from '../step';

/** What a mend does. */
export type MendKind =
  | 'dissolveFirst'
  | 'withTheLiquid'
  | 'warmUntilDissolved'
  | 'boilFirst'
  | 'finer'
  | 'warmUntilMelted'
  | 'liquidFirst'
  | 'allAtOnce'
  | 'offTheHeat'
  | 'lowerHeat'
  | 'moreHeat'
  | 'stirMore'
  | 'moreLiquidAside'
  | 'longer'
  | 'cookOut'
  | 'coolFirst'
  | 'sourLast'
  | 'cocoaWithSugar'
  | 'whenItIsCooler'
  | 'warmFirst'
  | 'warmAgain'
  | 'afterTheBoil'
  | 'stopStirring'
  | 'nearerEnd'
  | 'onceCooked'
  | 'belowScrambling'
  | 'cookTheEgg'
  | 'boilAMinute'
  | 'chillFirst'
  | 'slakeFirst'
  | 'putWhereItBelongs'
  | 'onlyOnce';

/** A remedy: what it does, and the steps it makes. */
export type Remedy = readonly [MendKind, readonly MethodStep[]];

/** A remedy looks at the steps, the rows and the place of the fault. */
export interface Case {
  readonly rows: MethodRows;
  readonly steps: readonly MethodStep[];
  readonly at: number;
  readonly kitchen: MethodKitchen;
}

export const hereOf = ({ steps, at }: Case): MethodStep => nth(steps, at);

/** Rows of some roles that go in with a step. */
export const rowsIn = ({ rows }: Case, { adds }: MethodStep, ...roles: readonly RowRole[]): readonly number[] =>
  adds.flatMap(({ row }) => (roles.includes(nth(rows.roles, row)) ? [row] : []));
