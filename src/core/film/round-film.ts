import { spreadDiameter } from '../flow/ring-spread';
import { type FilmFluid, mobilityOf } from './mobility';
import { solveTridiagonal } from './tridiagonal';

/** Cells from the middle to the rim of what is looked at; a picture that must be quick has fewer. */
const CELLS = 120;
/** The wet edge is where the film is this deep, m. */
const EDGE_M = 0.000_15;
/** Room beyond where the closed form has it. */
const ROOM = 1.35;
/** A step is as long as the front takes for this part of a cell, within its bounds, s. */
const PART_OF_CELL = 0.1;
const [SHORTEST_STEP_S, LONGEST_STEP_S] = [0.000_05, 0.02];
/** The thinnest rim cell as wide as this, m. */
const LEAST_CELL_M = 0.000_2;

/** A round drop that spreads by itself on a level plate. */
export interface RoundFilm {
  /** s since the ring was lifted */
  readonly seconds: number;
  /** m from cell to cell */
  readonly cellM: number;
  /** m of depth, from the middle outwards; the same array at each step */
  readonly depthM: Float64Array;
  /** goes on until so many s since the ring was lifted */
  readonly runTo: (seconds: number) => void;
  /** mm across, at {@link EDGE_M} */
  readonly diameterMm: () => number;
  /** ml in it */
  readonly volumeMl: () => number;
}

/** Fills a ring as deep everywhere; the cell the ring stands in as far as it lies within. */
function fillRing(depthM: Float64Array, cellM: number, volumeMl: number, ringM: number): void {
  const area = (i: number) => cellM * cellM * (2 * i + 1);
  const within = depthM.map((_, i) => Math.min(Math.max((ringM * ringM - (i * cellM) ** 2) / area(i), 0), 1));
  const filled = within.reduce((sum, part, i) => sum + part * area(i), 0);
  for (const [i, part] of within.entries()) depthM[i] = (part * volumeMl * 1e-6) / (Math.PI * filled);
}

/**
 * A drop let go from a ring on a level plate: the film equation in the round.
 *
 * @param volumeMl ml, above 0
 * @param ringM m, radius of the ring, above 0
 * @param longestS s it will be looked at for at most: sets how far it has room to run
 * @param cells from the middle to the rim, 20 or more
 * @see science-film.md sections 1 and 2
 */
export function roundFilm(
  fluid: FilmFluid,
  volumeMl: number,
  ringM: number,
  longestS: number,
  cells = CELLS,
): RoundFilm {
  const closed = spreadDiameter(fluid, volumeMl, Math.max(longestS, 1), 2000 * ringM) / 2000;
  const reach = ROOM * Math.max(closed, ringM);
  const cellM = Math.max(reach / cells, LEAST_CELL_M);
  const flows = mobilityOf(fluid);
  const depthM = new Float64Array(cells);
  const faces = new Float64Array(cells + 1);
  const [lower, diagonal, upper, right] = [0, 1, 2, 3].map(() => new Float64Array(cells)) as [
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  const area = (i: number) => Math.PI * cellM * cellM * (2 * i + 1);
  const sum = () => depthM.reduce((total, h, i) => total + h * area(i), 0);
  fillRing(depthM, cellM, volumeMl, ringM);
  /** Mobility on the faces; returns the fastest front, m/s. */
  const findFaces = (): number => {
    let fastest = 0;
    for (let i = 1; i < cells; i++) {
      const [inner, outer] = [depthM[i - 1] ?? 0, depthM[i] ?? 0];
      const slope = Math.abs(inner - outer) / cellM;
      const upwind = Math.max(inner, outer);
      const m = flows(0.5 * upwind + 0.25 * (inner + outer), slope);
      faces[i] = m;
      if (m > 0) fastest = Math.max(fastest, (m * slope) / upwind);
    }
    return fastest;
  };
  const step = (dt: number) => {
    for (let i = 0; i < cells; i++) {
      // Flux through a ring of the face's own girth, over the area of the cell.
      const inwards = (dt * (faces[i] ?? 0) * 2 * Math.PI * i) / area(i);
      const outwards = i + 1 < cells ? (dt * (faces[i + 1] ?? 0) * 2 * Math.PI * (i + 1)) / area(i) : 0;
      lower[i] = -inwards;
      upper[i] = -outwards;
      diagonal[i] = 1 + inwards + outwards;
      right[i] = depthM[i] ?? 0;
    }
    solveTridiagonal(lower, diagonal, upper, right, depthM, 0, cells);
  };

  let seconds = 0;
  return {
    get seconds() {
      return seconds;
    },
    cellM,
    depthM,
    runTo: (until) => {
      while (seconds < until - 1e-9) {
        const wanted = (PART_OF_CELL * cellM) / Math.max(findFaces(), 1e-12);
        const dt = Math.min(Math.max(wanted, SHORTEST_STEP_S), LONGEST_STEP_S, until - seconds);
        step(dt);
        seconds += dt;
      }
    },
    diameterMm: () => {
      for (let i = cells - 1; i >= 0; i--) {
        const [here, next] = [depthM[i] ?? 0, depthM[i + 1] ?? 0];
        if (here >= EDGE_M) return 2000 * cellM * (i + 0.5 + (here - EDGE_M) / Math.max(here - next, 1e-12));
      }
      return 0;
    },
    volumeMl: () => 1e6 * sum(),
  };
}
