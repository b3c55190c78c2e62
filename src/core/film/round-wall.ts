/** Cells beyond the wall that a picture carries the sauce on to. */
const CARRIED_CELLS = 2.5;

/**
 * A round wall about the middle of a square grid.
 *
 * @param n cells on a side
 * @param roundM its inside radius, m; infinite where there is none
 * @returns which cells are open, and the cells of the wall next to them, each with the open cell it continues
 */
export function roundWall(n: number, cellM: number, roundM: number) {
  const open = new Uint8Array(n * n).fill(1);
  const wall: (readonly [wall: number, inside: number])[] = [];
  const middle = (n * cellM) / 2;
  for (let k = 0; k < n * n; k++) {
    const [x, y] = [((k % n) + 0.5) * cellM - middle, (Math.floor(k / n) + 0.5) * cellM - middle];
    const away = Math.hypot(x, y);
    if (away <= roundM) continue;
    open[k] = 0;
    if (away > roundM + CARRIED_CELLS * cellM) continue;
    const inwards = Math.max(roundM - cellM, 0) / away;
    const at = (part: number) => Math.min(Math.max(Math.floor((middle + part * inwards) / cellM), 0), n - 1);
    wall.push([k, at(y) * n + at(x)]);
  }
  return { open, wall };
}
