/** A place on the ground, m from its first corner. */
export interface Spot {
  readonly x: number;
  readonly y: number;
}

/** Parts of a cell's side at which it is asked whether it lies within a round spot. */
const SAMPLES = 4;

/** Part of a cell that lies within a radius around a place given from the cell's own corner, in samples. */
function samplesWithin(dx: number, dy: number, cellM: number, radiusM: number): number {
  let within = 0;
  for (let i = 0; i < SAMPLES * SAMPLES; i++) {
    const x = dx + (((i % SAMPLES) + 0.5) / SAMPLES) * cellM;
    const y = dy + ((Math.floor(i / SAMPLES) + 0.5) / SAMPLES) * cellM;
    if (x * x + y * y <= radiusM * radiusM) within += 1;
  }
  return within;
}

/**
 * Adds a volume to a round spot of a grid, as deep everywhere; cells on its edge are filled by the part of them that lies within.
 *
 * @param open 1 for each cell where sauce can be, 0 in a wall
 * @param at middle of the spot, m
 * @param volumeM3 m³
 */
export function fillRound(
  depthM: Float64Array,
  open: Uint8Array,
  cellM: number,
  { x, y }: Spot,
  radiusM: number,
  volumeM3: number,
): void {
  const n = Math.sqrt(open.length);
  const onGrid = (cell: number) => Math.min(Math.max(Math.floor(cell / cellM), 0), n - 1);
  const parts = new Map<number, number>();
  let sum = 0;
  for (let row = onGrid(y - radiusM); row <= onGrid(y + radiusM); row++) {
    for (let column = onGrid(x - radiusM); column <= onGrid(x + radiusM); column++) {
      const isOpen = open[row * n + column] === 1;
      const within = isOpen ? samplesWithin(column * cellM - x, row * cellM - y, cellM, radiusM) : 0;
      if (within > 0) parts.set(row * n + column, within);
      sum += within;
    }
  }
  // A spot smaller than a cell's samples falls into its cell.
  if (sum === 0) {
    parts.set(onGrid(y) * n + onGrid(x), 1);
    sum = 1;
  }
  for (const [k, part] of parts) depthM[k] = (depthM[k] as number) + (volumeM3 * part) / (sum * cellM * cellM);
}
