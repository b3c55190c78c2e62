/**
 * How much of a search's work is left, counted in readings of all gates (about 0.1 ms each on a kitchen's server). Work and not time is counted:
 * the same request gives the same answer on any machine.
 */
export interface Effort {
  left: number;
}

/** Readings that a balance may take to find a landing: some two seconds. Usual requests take a hundredth of it. */
export const EFFORT_TO_LAND = 20_000;
/** Readings that may be spent on what stands in the way: half a second more. */
export const EFFORT_TO_EXPLAIN = 8_000;

/** Readings that the quadratic program of a step takes as long as, for each cube of its unknowns (measured, 10 to 60 rows). */
const READINGS_A_CUBE = 1.2e-3;

/**
 * Takes the work of one step of a search from what is left.
 *
 * @param rows free lines
 * @param edges edges of the gates that the step looks at
 * @returns whether there was anything left for it
 */
export function spend(effort: Effort, rows: number, edges: number): boolean {
  if (effort.left <= 0) return false;
  effort.left -= rows + 1 + READINGS_A_CUBE * (rows + edges) ** 3;
  return true;
}
