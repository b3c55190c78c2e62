import { nth } from '../nth';

/**
 * Inverse of a symmetric, positive definite matrix (Cholesky).
 *
 * @param matrix square, row by row; it is left as it is
 * @returns row by row
 */
export function choleskyInverse(matrix: readonly Float64Array[]): Float64Array[] {
  const size = matrix.length;
  const lower = matrix.map((row) => row.slice());
  for (let j = 0; j < size; j++) {
    const pivot = nth(lower, j);
    let d = nth(pivot, j);
    for (let k = 0; k < j; k++) d -= nth(pivot, k) ** 2;
    const root = Math.sqrt(Math.max(d, 1e-300));
    pivot[j] = root;
    for (let i = j + 1; i < size; i++) {
      const row = nth(lower, i);
      let value = nth(row, j);
      for (let k = 0; k < j; k++) value -= nth(row, k) * nth(pivot, k);
      row[j] = value / root;
    }
  }
  const inverse = matrix.map((row) => new Float64Array(row.length));
  const column = new Float64Array(size);
  for (let c = 0; c < size; c++) {
    for (let i = 0; i < size; i++) {
      let value = i === c ? 1 : 0;
      for (let k = 0; k < i; k++) value -= nth(nth(lower, i), k) * nth(column, k);
      column[i] = value / nth(nth(lower, i), i);
    }
    for (let i = size - 1; i >= 0; i--) {
      let value = nth(column, i);
      for (let k = i + 1; k < size; k++) value -= nth(nth(lower, k), i) * nth(column, k);
      column[i] = value / nth(nth(lower, i), i);
      nth(inverse, i)[c] = column[i] ?? 0;
    }
  }
  return inverse;
}
