declare module 'quadprog' {
  interface Solution {
    solution: number[];
    value: number[];
    message: string;
  }
  /** All arrays count from 1; `Dmat`, `dvec` and `Amat` are overwritten. */
  export function solveQP(Dmat: number[][], dvec: number[], Amat: number[][], bvec: number[], meq: number): Solution;
}
