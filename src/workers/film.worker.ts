import { expose, transfer } from 'comlink';
import type { FilmFluid } from '@/core/film/mobility';
import type { Outline } from '@/core/film/pick';
import { drawnDrop, drawSpoonAcross, flowFor, layerInPan, ribbonInPan, STILL_CELLS } from '@/core/film/scenes';
import type { DrawnFilm } from '@/core/film/surface';
import type { PlateGuide } from '@/core/serve/plate-guides';
import { handShapes, type PlateMark, plateShapes } from '@/core/serve/plate-shapes';

/** What a film is poured for: a drop on a plate, a spoon's line or a ribbon in a pan, some seconds later; or a pan that is left alone. */
export interface FilmQuestion {
  readonly kind: 'drop' | 'line' | 'ribbon' | 'level';
  readonly fluid: FilmFluid;
  readonly seconds: number;
  /** coarse, for a picture that follows what is being changed */
  readonly isQuick?: boolean;
}

/** s a still is followed at a time. */
const STEP_S = 1 / 15;
/** Cells of a drop that must be quick: on a side, and from its middle to its rim. */
const QUICK = { cells: 40, rings: 40 } as const;

function lineInPan(fluid: FilmFluid, seconds: number): DrawnFilm {
  const film = layerInPan(fluid, STILL_CELLS);
  drawSpoonAcross(film);
  flowFor(film, seconds, 0, STEP_S);
  return film;
}

const FLOWED: Readonly<Record<FilmQuestion['kind'], (question: FilmQuestion) => DrawnFilm>> = {
  drop: ({ fluid, seconds, isQuick }) =>
    isQuick ? drawnDrop(fluid, seconds, QUICK.cells, QUICK.rings) : drawnDrop(fluid, seconds),
  line: ({ fluid, seconds }) => lineInPan(fluid, seconds),
  level: ({ fluid }) => layerInPan(fluid, STILL_CELLS),
  ribbon: ({ fluid, seconds }) => ribbonInPan(fluid, seconds, STILL_CELLS),
};

/** A plate to be drawn: by its guide, or mark by mark as a hand drew it. */
export type PlateQuestion =
  | { readonly guide: Pick<PlateGuide, 'strokes' | 'dots' | 'picks'>; readonly isWiped: boolean }
  | { readonly marks: readonly PlateMark[]; readonly acrossMm: number; readonly isWiped: boolean };

const door = {
  async plate(question: PlateQuestion): Promise<readonly Outline[]> {
    return 'guide' in question
      ? plateShapes(question.guide, question.isWiped)
      : handShapes(question.marks, question.acrossMm, question.isWiped);
  },
  async flowed(question: FilmQuestion): Promise<DrawnFilm> {
    const { cells, cellM, depthM, wall } = FLOWED[question.kind](question);
    return transfer({ cells, cellM, depthM, wall }, [depthM.buffer]);
  },
};

export type FilmDoor = typeof door;

expose(door);
