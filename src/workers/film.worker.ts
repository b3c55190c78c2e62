import { expose, transfer } from 'comlink';
import type { FilmFluid } from '@/core/film/mobility';
import { drawSpoonAcross, dropOnPlate, flowFor, layerInPan, STILL_CELLS } from '@/core/film/scenes';
import type { DrawnFilm } from '@/core/film/surface';

/** What a film is poured for: a drop on a plate, or a spoon's line in a pan, some seconds later. */
export interface FilmQuestion {
  readonly kind: 'drop' | 'line';
  readonly fluid: FilmFluid;
  readonly seconds: number;
}

/** s a still is followed at a time. */
const STEP_S = 1 / 15;

const door = {
  async flowed({ kind, fluid, seconds }: FilmQuestion): Promise<DrawnFilm> {
    const film = kind === 'drop' ? dropOnPlate(fluid, seconds, STILL_CELLS) : layerInPan(fluid, STILL_CELLS);
    if (kind === 'line') drawSpoonAcross(film);
    flowFor(film, seconds, 0, STEP_S);
    const { cells, cellM, depthM, wall } = film;
    return transfer({ cells, cellM, depthM, wall }, [depthM.buffer]);
  },
};

export type FilmDoor = typeof door;

expose(door);
