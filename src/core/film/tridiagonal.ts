/**
 * Solves a system with three diagonals in place (Thomas's algorithm): no allocation.
 *
 * @param lower below the diagonal; the first of a system is not read
 * @param diagonal the diagonal, dominant
 * @param upper above the diagonal; it is written over
 * @param right right-hand side; it is written over
 * @param solution where the answer goes
 * @param from first row of the system
 * @param to one beyond its last
 */
export function solveTridiagonal(
  lower: Float64Array,
  diagonal: Float64Array,
  upper: Float64Array,
  right: Float64Array,
  solution: Float64Array,
  from: number,
  to: number,
): void {
  let [above, known] = [0, 0];
  for (let i = from; i < to; i++) {
    const below = i === from ? 0 : (lower[i] as number);
    const pivot = (diagonal[i] as number) - below * above;
    above = (upper[i] as number) / pivot;
    known = ((right[i] as number) - below * known) / pivot;
    upper[i] = above;
    right[i] = known;
  }
  let next = 0;
  for (let i = to - 1; i >= from; i--) {
    next = (right[i] as number) - (i === to - 1 ? 0 : (upper[i] as number) * next);
    solution[i] = next;
  }
}
