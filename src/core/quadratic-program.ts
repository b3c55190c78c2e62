import { solveQP } from 'quadprog';

/** Minimise ½ x'Qx + q'x with equalities first, then inequalities row·x >= least. */
export interface QuadraticProgram {
  /** symmetric positive definite, n x n */
  readonly quadratic: readonly (readonly number[])[];
  readonly linear: readonly number[];
  readonly equalities: readonly { readonly row: readonly number[]; readonly equals: number }[];
  readonly inequalities: readonly { readonly row: readonly number[]; readonly least: number }[];
}

/**
 * Solves a small dense convex quadratic program by the dual active-set method.
 *
 * @returns the minimiser, or `undefined` when the constraints contradict each other
 * @see Goldfarb & Idnani 1983
 */
export function solveQuadraticProgram(program: QuadraticProgram): number[] | undefined {
  const { quadratic, linear, equalities, inequalities } = program;
  const n = linear.length;
  const rows = [
    ...equalities.map(({ row, equals }) => ({ row, bound: equals })),
    ...inequalities.map(({ row, least }) => ({ row, bound: least })),
  ];
  const fromOne = (values: readonly number[]) => [0, ...values];
  const matrix: number[][] = [[], ...quadratic.map(fromOne)];
  const vector = fromOne(linear.map((value) => -value));
  const constraints: number[][] = [[]];
  for (let i = 0; i < n; i++) constraints.push(fromOne(rows.map(({ row }) => row[i] ?? 0)));
  const bounds = fromOne(rows.map(({ bound }) => bound));
  const answer = solveQP(matrix, vector, constraints, bounds, equalities.length);
  if (answer.message !== '') return undefined;
  const x = answer.solution.slice(1);
  return x.every(Number.isFinite) ? x : undefined;
}
