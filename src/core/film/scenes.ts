import { spreadDiameter } from '../flow/ring-spread';
import { type GridFilm, gridFilm } from './grid-film';
import type { FilmFluid } from './mobility';
import { type RoundFilm, roundFilm } from './round-film';
import type { DrawnFilm } from './surface';

/** Cells on a side of a picture that moves, and of one that must be quick. */
export const CELLS = 96;
export const QUICK_CELLS = 48;
/** Cells on a side of a picture that stands still and is shown small. */
export const STILL_CELLS = 72;

/** The kitchen's plate test: ml let go from a ring of so many mm. */
export const DROP = { volumeMl: 20, ringMm: 50 } as const;
/** Flat middle of a plate of 27 cm: what runs past it climbs the rim, and is not followed, m. */
const PLATE_M = 0.27;
/** Room beside a drop, for it to run to when the plate is tilted. */
const ROOM = 1.9;

/**
 * A drop of 20 ml let go from a ring of 50 mm in the middle of a plate.
 *
 * @param seconds s it will be looked at for
 */
export function dropOnPlate(fluid: FilmFluid, seconds: number, cells = CELLS): GridFilm {
  const reach = (spreadDiameter(fluid, DROP.volumeMl, seconds, DROP.ringMm) / 1000) * ROOM;
  const sizeM = Math.min(Math.max(reach, 1.6e-3 * DROP.ringMm), PLATE_M);
  const film = gridFilm(fluid, cells, sizeM);
  film.pour({ x: sizeM / 2, y: sizeM / 2 }, DROP.volumeMl * 1e-6, DROP.ringMm / 2000);
  return film;
}

/** Room beside a drop that lies still. */
const STILL_ROOM = 1.25;

/** Depth of a round film so far from its middle, m. */
function depthAt({ depthM, cellM }: RoundFilm, radiusM: number): number {
  const place = Math.max(radiusM / cellM - 0.5, 0);
  const [inner, part] = [Math.floor(place), place % 1];
  const here = depthM[inner] ?? 0;
  return here + part * ((depthM[inner + 1] ?? 0) - here);
}

/**
 * A drop of 20 ml on a level plate some seconds after its ring was lifted, for a picture: solved in the round, which is quick, and as round as it is.
 *
 * @param seconds s since the ring was lifted, above 0
 * @param cells on a side of the picture
 * @param rings cells from its middle to its rim it is solved with, 20 or more
 */
export function drawnDrop(fluid: FilmFluid, seconds: number, cells = STILL_CELLS, rings = 120): DrawnFilm {
  const film = roundFilm(fluid, DROP.volumeMl, DROP.ringMm / 2000, seconds, rings);
  film.runTo(seconds);
  const cellM = Math.min(STILL_ROOM * (film.diameterMm() / 1000), PLATE_M) / cells;
  const depthM = new Float64Array(cells * cells);
  const middle = (cells - 1) / 2;
  for (let k = 0; k < cells * cells; k++) {
    const [x, y] = [(k % cells) - middle, Math.floor(k / cells) - middle];
    depthM[k] = depthAt(film, cellM * Math.hypot(x, y));
  }
  return { cells, cellM, depthM, wall: [] };
}

/** Depth of sauce in a pan for a spoon's line, m. */
const LAYER_M = 0.008;
/** A spoon's line through it: how wide, and what the spoon leaves, m. */
export const SPOON_LINE = { wideM: 0.014, leavesM: 0.001 } as const;

/** Inside radius of the pan a spoon's line is drawn in, m. */
export const PAN_RADIUS_M = 0.06;

/** A round pan with sauce in it, level. */
export function layerInPan(fluid: FilmFluid, cells = CELLS): GridFilm {
  const radiusM = PAN_RADIUS_M;
  const sizeM = 2.16 * radiusM;
  const film = gridFilm(fluid, cells, sizeM, radiusM);
  // Level everywhere within its wall.
  film.depthM.fill(LAYER_M);
  film.touch();
  return film;
}

/** Draws a spoon straight through the middle of a film, over so much of its width. */
export function drawSpoonAcross(film: GridFilm, part = 0.62): void {
  const sizeM = film.cells * film.cellM;
  const [from, to] = [(sizeM * (1 - part)) / 2, (sizeM * (1 + part)) / 2];
  film.groove({ x: from, y: sizeM / 2 }, { x: to, y: sizeM / 2 }, SPOON_LINE.wideM, SPOON_LINE.leavesM);
}

/** A ribbon let fall from a spoon: ml a second, for so many s, on a circle of so many m, as wide as it lands, m. */
export const RIBBON = { mlPerS: 3, lastsS: 2.5, roundM: 0.016, wideM: 0.004 } as const;
/** rad a second it is led round. */
const RIBBON_TURN = 2.5;

/** Lays what falls of a ribbon in a while into a film: a source that moves. @param fromS s since it began to fall @param passedS s of the while */
export function layRibbon(film: GridFilm, fromS: number, passedS: number): void {
  const [middle, turn] = [(film.cells * film.cellM) / 2, RIBBON_TURN * fromS];
  const at = { x: middle + RIBBON.roundM * Math.cos(turn), y: middle + RIBBON.roundM * Math.sin(turn) };
  film.pour(at, RIBBON.mlPerS * passedS * 1e-6, RIBBON.wideM);
}

/** A pan a ribbon has just been let fall into, and so many s later. */
export function ribbonInPan(fluid: FilmFluid, seconds: number, cells = CELLS): GridFilm {
  const film = layerInPan(fluid, cells);
  const [step, falls] = [1 / 30, Math.round(RIBBON.lastsS * 30)];
  for (let i = 0; i < falls; i++) {
    layRibbon(film, i * step, step);
    film.step(step);
  }
  flowFor(film, seconds, 0, step);
  return film;
}

/** Part of a spoon's line through the middle that has filled again, 0 to 1. */
export function lineClosed({ cells, depthM }: GridFilm): number {
  const middle = depthM[(cells / 2) * cells + cells / 2] ?? 0;
  return Math.min(Math.max((middle - SPOON_LINE.leavesM) / (LAYER_M - SPOON_LINE.leavesM), 0), 1);
}

/** Cells on a side where only the middle of a line is read. */
const LINE_CELLS = 32;

/**
 * Part of a spoon's line through a pan that has closed some seconds later, 0 to 1.
 *
 * @param seconds s, above 0
 */
export function lineClosedAfter(fluid: FilmFluid, seconds: number): number {
  const film = layerInPan(fluid, LINE_CELLS);
  drawSpoonAcross(film);
  flowFor(film, seconds, 0, 1 / 15);
  return lineClosed(film);
}

/** Lets a film flow for some seconds, so much at a time: where its front is fast it is followed more finely anyhow. */
export function flowFor(film: GridFilm, seconds: number, tilt = 0, stepS = 1 / 30): void {
  const steps = Math.max(1, Math.round(seconds / stepS));
  for (let i = 0; i < steps; i++) film.step(seconds / steps, tilt);
}
