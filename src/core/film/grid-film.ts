import { fillRound, type Spot } from './fill-round';
import { type FilmFluid, type Mobility, mobilityOf } from './mobility';
import { roundWall } from './round-wall';
import { solveTridiagonal } from './tridiagonal';

/** The wet edge of a film on a grid is where it is this deep, m. */
export const WET_M = 0.000_15;
/** Depth below which a cell holds nothing that flows, m. */
const TRACE_M = 1e-9;
/** A step is halved until its front passes no more than this part of a cell, so often at most. */
const PART_OF_CELL = 0.25;
const MOST_HALVINGS = 8;

/** A film of sauce on a flat, square ground: cells in rows, x along them, y down them. */
export interface GridFilm {
  /** cells on a side */
  readonly cells: number;
  /** m from cell to cell */
  readonly cellM: number;
  /** m of depth by cell, `y * cells + x`; the same array at each step */
  readonly depthM: Float64Array;
  /** cells of a round wall that touch what is within it, each with its neighbour inside: a picture carries the sauce on to the wall; none without one */
  readonly wall: readonly (readonly [wall: number, inside: number])[];
  /** s that have passed */
  readonly seconds: number;
  /**
   * Lets it flow.
   *
   * @param dt s, above 0; 1/30 is fine
   * @param tiltX tangent of the tilt along x, downhill positive
   * @param tiltY the same along y
   */
  readonly step: (dt: number, tiltX?: number, tiltY?: number) => void;
  /** Flows otherwise from here on: another temperature, another sauce. */
  readonly become: (fluid: FilmFluid) => void;
  /** Pours volume (m³) into a round spot of a radius (m). */
  readonly pour: (at: Spot, volumeM3: number, radiusM: number) => void;
  /** Leaves no more than a depth (m) within a width (m) along a line: what a spoon takes is gone. */
  readonly groove: (from: Spot, to: Spot, widthM: number, leavesM: number) => void;
  /** What was written into `depthM` counts from here on; nothing lies in the wall. */
  readonly touch: () => void;
  readonly volumeM3: () => number;
}

/** What the sweeps work on. */
interface Grid {
  readonly n: number;
  readonly cellM: number;
  readonly depthM: Float64Array;
  /** the depths before a step, which share out what the tilt carries */
  readonly before: Float64Array;
  /** 1 where sauce can be, 0 in a wall */
  readonly open: Uint8Array;
  /** mobility on the face before each cell, along x and along y */
  readonly faceX: Float64Array;
  readonly faceY: Float64Array;
  readonly line: Readonly<Record<'lower' | 'diagonal' | 'upper' | 'right' | 'solution', Float64Array>>;
  /** the wet cells and one more on each side: from left and top up to, not with, end and bottom */
  readonly box: { left: number; top: number; end: number; bottom: number };
}

function emptyGrid(n: number, cellM: number, open: Uint8Array): Grid {
  const all = () => new Float64Array(n * n);
  const one = () => new Float64Array(n);
  return {
    n,
    cellM,
    depthM: all(),
    before: all(),
    open,
    faceX: all(),
    faceY: all(),
    line: { lower: one(), diagonal: one(), upper: one(), right: one(), solution: one() },
    box: { left: 0, top: 0, end: 0, bottom: 0 },
  };
}

/** Whether a row has a wet cell, and where its first and last are. */
function wetInRow({ n, depthM }: Grid, y: number, from: number, to: number): readonly [number, number] | undefined {
  let first = from;
  while (first < to && (depthM[y * n + first] as number) <= TRACE_M) first++;
  if (first === to) return undefined;
  let last = to - 1;
  while ((depthM[y * n + last] as number) <= TRACE_M) last--;
  return [first, last];
}

/** Finds the box around the wet cells anew, within an earlier one: a front moves one cell at a time. */
function findBox(grid: Grid, { left, top, end, bottom }: Grid['box']): void {
  const { n, box } = grid;
  let [l, t, r, b] = [n, n, -1, -1];
  for (let y = top; y < bottom; y++) {
    const wet = wetInRow(grid, y, left, end);
    if (!wet) continue;
    l = Math.min(l, wet[0]);
    r = Math.max(r, wet[1]);
    t = Math.min(t, y);
    b = y;
  }
  box.left = Math.max(l - 1, 0);
  box.top = Math.max(t - 1, 0);
  box.end = Math.min(r + 2, n);
  box.bottom = Math.min(b + 2, n);
}

/** How much deeper it is on one side of a cell than on the other, twice a cell apart; a wall stands as high as the cell. */
function riseAt(depthM: Float64Array, open: Uint8Array, k: number, up: number, down: number): number {
  const after = open[k + down] === 0 ? k : k + down;
  const before = open[k - up] === 0 ? k : k - up;
  return (depthM[after] as number) - (depthM[before] as number);
}

/**
 * Mobility on the faces before the cells of one line, from the depths as they stand.
 *
 * @param k first cell that has one before it
 * @param ahead, aside cells from one to the next along the line, and across it
 * @param up, down the same across, 0 at a wall
 * @returns the fastest front on the line, m/s
 */
function facesOfLine(
  { depthM, cellM, open }: Grid,
  flows: Mobility,
  into: Float64Array,
  line: {
    readonly k: number;
    readonly count: number;
    readonly ahead: number;
    readonly up: number;
    readonly down: number;
  },
  tilt: number,
  tiltAside: number,
): number {
  const { count, ahead, up, down } = line;
  const perCell = 1 / cellM;
  let fastest = 0;
  for (let i = 0, k = line.k; i < count; i++, k += ahead) {
    const here = depthM[k] as number;
    const before = depthM[k - ahead] as number;
    if (here + before <= 2 * TRACE_M || open[k] === 0 || open[k - ahead] === 0) {
      into[k] = 0;
      continue;
    }
    const along = (here - before) * perCell - tilt;
    const aside =
      0.25 * (riseAt(depthM, open, k, up, down) + riseAt(depthM, open, k - ahead, up, down)) * perCell - tiltAside;
    const upwind = along < 0 ? before : here;
    const m = flows(0.5 * upwind + 0.25 * (here + before), Math.sqrt(along * along + aside * aside));
    into[k] = m;
    if (m > 0 && upwind > TRACE_M) fastest = Math.max(fastest, (m * Math.abs(along)) / upwind);
  }
  return fastest;
}

/** Mobility on all faces within the box; returns the fastest front, m/s. */
function findFaces(grid: Grid, flows: Mobility, tiltX: number, tiltY: number): number {
  const { n, box } = grid;
  let fastest = 0;
  const [fromX, fromY] = [Math.max(box.left, 1), Math.max(box.top, 1)];
  for (let y = box.top; y < box.bottom; y++) {
    const walls = { up: y > 0 ? n : 0, down: y < n - 1 ? n : 0 };
    const line = { k: y * n + fromX, count: box.end - fromX, ahead: 1, ...walls };
    fastest = Math.max(fastest, facesOfLine(grid, flows, grid.faceX, line, tiltX, tiltY));
  }
  for (let x = box.left; x < box.end; x++) {
    const walls = { up: x > 0 ? 1 : 0, down: x < n - 1 ? 1 : 0 };
    const line = { k: fromY * n + x, count: box.bottom - fromY, ahead: n, ...walls };
    fastest = Math.max(fastest, facesOfLine(grid, flows, grid.faceY, line, tiltY, tiltX));
  }
  return fastest;
}

/** Adds to a line's equations what the tilt carries over each face, as a share of the depth upwind. */
function addTilt(
  { cellM, before, line: { lower, diagonal, upper } }: Grid,
  face: Float64Array,
  { k: first, count, ahead }: { readonly k: number; readonly count: number; readonly ahead: number },
  dt: number,
  tilt: number,
): void {
  for (let i = 1; i < count; i++) {
    const k = first + i * ahead;
    const m = face[k] as number;
    const upwind = before[tilt > 0 ? k - ahead : k] as number;
    if (m <= 0 || upwind <= TRACE_M) continue;
    const share = (dt * m * tilt) / (cellM * upwind);
    // Downhill it leaves the cell before the face for the one behind it; the other way round where the tilt is.
    if (tilt > 0) {
      lower[i] = (lower[i] as number) - share;
      diagonal[i - 1] = (diagonal[i - 1] as number) + share;
    } else {
      diagonal[i] = (diagonal[i] as number) - share;
      upper[i - 1] = (upper[i - 1] as number) + share;
    }
  }
}

/** One implicit sweep along a line of cells: nothing is lost on it, and nothing falls below 0. */
function sweep(
  grid: Grid,
  face: Float64Array,
  along: { readonly k: number; readonly count: number; readonly ahead: number },
  dt: number,
  tilt: number,
): void {
  const { depthM, cellM, line } = grid;
  const { k: first, count, ahead } = along;
  const spread = dt / (cellM * cellM);
  for (let i = 0; i < count; i++) {
    const k = first + i * ahead;
    const low = i > 0 ? spread * (face[k] as number) : 0;
    const high = i + 1 < count ? spread * (face[k + ahead] as number) : 0;
    line.lower[i] = -low;
    line.upper[i] = -high;
    line.diagonal[i] = 1 + low + high;
    line.right[i] = depthM[k] as number;
  }
  if (tilt !== 0) addTilt(grid, face, along, dt, tilt);
  solveTridiagonal(line.lower, line.diagonal, line.upper, line.right, line.solution, 0, count);
  for (let i = 0; i < count; i++) depthM[first + i * ahead] = line.solution[i] as number;
}

function sweepRows(grid: Grid, dt: number, tilt: number): void {
  const { n, box } = grid;
  const count = box.end - box.left;
  for (let y = box.top; y < box.bottom; y++)
    sweep(grid, grid.faceX, { k: y * n + box.left, count, ahead: 1 }, dt, tilt);
}

function sweepColumns(grid: Grid, dt: number, tilt: number): void {
  const { n, box } = grid;
  const count = box.bottom - box.top;
  for (let x = box.left; x < box.end; x++) sweep(grid, grid.faceY, { k: box.top * n + x, count, ahead: n }, dt, tilt);
}

/** Takes what is above a depth away along a line. */
function cutGroove({ n, cellM, depthM }: Grid, from: Spot, to: Spot, widthM: number, leavesM: number): void {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const square = Math.max(dx * dx + dy * dy, 1e-12);
  for (let k = 0; k < n * n; k++) {
    const [x, y] = [((k % n) + 0.5) * cellM - from.x, (Math.floor(k / n) + 0.5) * cellM - from.y];
    const along = Math.min(Math.max((x * dx + y * dy) / square, 0), 1);
    if (Math.hypot(x - along * dx, y - along * dy) <= widthM / 2) depthM[k] = Math.min(depthM[k] as number, leavesM);
  }
}

/**
 * A film that flows and stops on a flat ground, solved on a grid by two implicit sweeps: never negative, nothing lost, any step.
 *
 * @param cells on a side, 8 or more; 96 is a good picture, 32 a quick one
 * @param sizeM m on a side, above 0; its border is a wall
 * @param roundM inside radius of a round wall about its middle, m; without one the ground is the whole square
 * @see science-film.md sections 1 and 2: lubrication (published), locally one-dimensional splitting
 */
export function gridFilm(first: FilmFluid, cells: number, sizeM: number, roundM = Number.POSITIVE_INFINITY): GridFilm {
  const { open, wall } = roundWall(cells, sizeM / cells, roundM);
  const grid = emptyGrid(cells, sizeM / cells, open);
  const { depthM, cellM } = grid;
  const whole = { left: 0, top: 0, end: cells, bottom: cells };
  const touch = () => {
    for (let k = 0; k < cells * cells; k++) if (open[k] === 0) depthM[k] = 0;
    findBox(grid, whole);
  };
  let flows = mobilityOf(first);
  let seconds = 0;
  let swapped = false;

  const step = (dt: number, tiltX = 0, tiltY = 0) => {
    const least = dt / 2 ** MOST_HALVINGS;
    let done = 0;
    while (done < dt * (1 - 1e-9) && grid.box.end > grid.box.left) {
      const fastest = findFaces(grid, flows, tiltX, tiltY);
      // All of it stands: it stays as it is.
      if (fastest === 0) break;
      let part = dt;
      while (part > least && fastest * part > PART_OF_CELL * cellM) part /= 2;
      part = Math.min(part, dt - done);
      if (tiltX !== 0 || tiltY !== 0) grid.before.set(depthM);
      if (swapped) sweepColumns(grid, part, tiltY);
      sweepRows(grid, part, tiltX);
      if (!swapped) sweepColumns(grid, part, tiltY);
      swapped = !swapped;
      done += part;
      findBox(grid, grid.box);
    }
    seconds += dt;
  };

  return {
    cells,
    cellM,
    depthM,
    wall,
    get seconds() {
      return seconds;
    },
    step,
    become: (fluid) => {
      flows = mobilityOf(fluid);
    },
    pour: (at, volumeM3, radiusM) => {
      fillRound(depthM, grid.open, cellM, at, radiusM, volumeM3);
      touch();
    },
    groove: (from, to, widthM, leavesM) => {
      cutGroove(grid, from, to, widthM, leavesM);
      touch();
    },
    touch,
    volumeM3: () => depthM.reduce((sum, h) => sum + h, 0) * cellM * cellM,
  };
}
