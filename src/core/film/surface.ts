import { type GridFilm, WET_M } from './grid-film';

/** As much of a film as a picture needs. */
export type DrawnFilm = Pick<GridFilm, 'cells' | 'cellM' | 'depthM' | 'wall'>;

/**
 * The wet surface of a film as triangles for a picture, written anew at each, without new arrays. Its edge is a smooth line round the wet cells, and
 * its rim comes down to the ground there: the cells themselves are never seen. Figures are read from the film, not from its picture.
 */
export interface Surface {
  /** x, height, y of each corner, m from the middle of the ground; three corners a triangle */
  readonly positions: Float32Array<ArrayBuffer>;
  /** of unit length, height second */
  readonly normals: Float32Array<ArrayBuffer>;
  /** m of sauce below each corner */
  readonly depths: Float32Array<ArrayBuffer>;
  /** corners in use */
  corners: number;
  /** by cell: how wet it and its neighbours are, 0-1; how high the surface is drawn, m; and room to work, in the end how deep the sauce is, m */
  readonly wet: Float64Array;
  readonly height: Float64Array;
  readonly spare: Float64Array;
}

/** Most triangles of one square between four cells. */
const TRIANGLES = 3;
/** The edge is where half of what is round a cell is wet. */
const EDGE = 0.5;
/** How much wetter it is where the rim has come up to its height. */
const RIM = 0.4;
/** Passes by which wetness and depth are smoothed for the eye. */
const WET_PASSES = 4;
const DEPTH_PASSES = 1;

/** A surface with room for all of a grid. */
export function emptySurface(cells: number): Surface {
  const corners = TRIANGLES * 3 * (cells - 1) ** 2;
  return {
    positions: new Float32Array(3 * corners),
    normals: new Float32Array(3 * corners),
    depths: new Float32Array(corners),
    corners: 0,
    wet: new Float64Array(cells * cells),
    height: new Float64Array(cells * cells),
    spare: new Float64Array(cells * cells),
  };
}

/** Smooths a field along one way: a quarter, a half, a quarter; at a wall its own stands for what is beyond. */
function smoothAlong(from: Float64Array, into: Float64Array, n: number, step: 1 | number): void {
  for (let k = 0; k < n * n; k++) {
    const place = step === 1 ? k % n : Math.floor(k / n);
    const before = from[place > 0 ? k - step : k] as number;
    const after = from[place < n - 1 ? k + step : k] as number;
    into[k] = 0.25 * (before + after) + 0.5 * (from[k] as number);
  }
}

function smooth(field: Float64Array, spare: Float64Array, n: number, passes: number): void {
  for (let pass = 0; pass < passes; pass++) {
    smoothAlong(field, spare, n, 1);
    smoothAlong(spare, field, n, n);
  }
}

/** A corner of what is wet in a square: x and y in cells, height, slopes. */
const polygon = Array.from({ length: 6 }, () => ({ x: 0, y: 0, height: 0, depth: 0, slopeX: 0, slopeY: 0 }));
/** The four cells of a square, round it. */
const ROUND = [
  [0, 0],
  [0, 1],
  [1, 1],
  [1, 0],
] as const;

/** Slope of the drawn height at a cell along one way, by the cell before and after it. */
function slopeAt(height: Float64Array, k: number, step: number, place: number, n: number): number {
  const [before, after] = [place > 0 ? k - step : k, place < n - 1 ? k + step : k];
  const apart = Number(place > 0) + Number(place < n - 1);
  return ((height[after] as number) - (height[before] as number)) / apart;
}

/** Writes one corner of the polygon, part of the way from one cell of a square to another. */
function setCorner(
  { height, spare }: Surface,
  { cells: n, cellM }: DrawnFilm,
  at: number,
  from: readonly [number, number],
  to: readonly [number, number],
  part: number,
): void {
  const corner = polygon[at] as (typeof polygon)[number];
  const mixed = (read: (x: number, y: number, k: number) => number) => {
    const here = read(from[0], from[1], from[1] * n + from[0]);
    return part === 0 ? here : here + part * (read(to[0], to[1], to[1] * n + to[0]) - here);
  };
  corner.x = mixed((x) => x);
  corner.y = mixed((_, y) => y);
  corner.height = mixed((_, __, k) => height[k] as number);
  corner.depth = mixed((_, __, k) => spare[k] as number);
  corner.slopeX = mixed((x, _, k) => slopeAt(height, k, 1, x, n)) / cellM;
  corner.slopeY = mixed((_, y, k) => slopeAt(height, k, n, y, n)) / cellM;
}

/** Finds what is wet of the square whose first cell this is; returns its corners, none when it is dry. */
function wetPolygon(surface: Surface, film: DrawnFilm, x: number, y: number): number {
  const { cells: n } = film;
  let count = 0;
  for (let i = 0; i < 4; i++) {
    const [ax, ay] = ROUND[i] as (typeof ROUND)[number];
    const [bx, by] = ROUND[(i + 1) % 4] as (typeof ROUND)[number];
    const [from, to] = [
      [x + ax, y + ay],
      [x + bx, y + by],
    ] as const;
    const here = surface.wet[from[1] * n + from[0]] as number;
    const next = surface.wet[to[1] * n + to[0]] as number;
    if (here >= EDGE) setCorner(surface, film, count++, from, to, 0);
    if (here >= EDGE !== next >= EDGE) setCorner(surface, film, count++, from, to, (EDGE - here) / (next - here));
  }
  return count;
}

/** Writes a corner of the polygon into the surface. */
function write({ positions, normals, depths }: Surface, at: number, from: number, film: DrawnFilm): void {
  const { x, y, height, depth, slopeX, slopeY } = polygon[from] as (typeof polygon)[number];
  const half = film.cells / 2;
  const length = Math.hypot(slopeX, 1, slopeY);
  positions[3 * at] = (x + 0.5 - half) * film.cellM;
  positions[3 * at + 1] = height;
  positions[3 * at + 2] = (y + 0.5 - half) * film.cellM;
  normals[3 * at] = -slopeX / length;
  normals[3 * at + 1] = 1 / length;
  normals[3 * at + 2] = -slopeY / length;
  depths[at] = depth;
}

/** Works out how wet the ground is round each cell, and how high the surface is drawn there. */
function readFilm({ wet, height, spare }: Surface, { cells: n, depthM, wall }: DrawnFilm): void {
  height.set(depthM);
  // Sauce lies against the wall: it is drawn on into it.
  for (const [k, inside] of wall) height[k] = depthM[inside] as number;
  for (let k = 0; k < n * n; k++) wet[k] = (height[k] as number) >= WET_M ? 1 : 0;
  smooth(wet, spare, n, WET_PASSES);
  smooth(height, spare, n, DEPTH_PASSES);
  // Its colour goes by the sauce that is there, not by the rim it is drawn with.
  spare.set(height);
  // A rim comes down round, as a drop's does.
  for (let k = 0; k < n * n; k++) {
    const inside = Math.min(Math.max(((wet[k] as number) - EDGE) / RIM, 0), 1);
    height[k] = (height[k] as number) * inside * (2 - inside);
  }
}

/** Cuts the wet surface of a film anew. */
export function cutSurface(film: DrawnFilm, into: Surface): void {
  readFilm(into, film);
  const { cells: n } = film;
  let corners = 0;
  for (let y = 0; y < n - 1; y++) {
    for (let x = 0; x < n - 1; x++) {
      const k = y * n + x;
      const most = Math.max(
        into.wet[k] as number,
        into.wet[k + 1] as number,
        into.wet[k + n] as number,
        into.wet[k + n + 1] as number,
      );
      const count = most >= EDGE ? wetPolygon(into, film, x, y) : 0;
      for (let i = 1; i + 1 < count; i++) {
        write(into, corners++, 0, film);
        write(into, corners++, i, film);
        write(into, corners++, i + 1, film);
      }
    }
  }
  into.corners = corners;
}

/** Area of ground that a cut surface covers, m². */
export function coveredM2({ positions, corners }: Surface): number {
  let twice = 0;
  for (let i = 0; i < corners; i += 3) {
    const at = (corner: number, axis: 0 | 2) => positions[3 * (i + corner) + axis] as number;
    twice += Math.abs((at(1, 0) - at(0, 0)) * (at(2, 2) - at(0, 2)) - (at(2, 0) - at(0, 0)) * (at(1, 2) - at(0, 2)));
  }
  return twice / 2;
}

/** mm across a disc as large as what is wet. */
export const diameterMm = (surface: Surface): number => 2000 * Math.sqrt(coveredM2(surface) / Math.PI);
