import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { GridFilm } from '@/core/film/grid-film';
import type { FilmFluid } from '@/core/film/mobility';
import { CELLS, DROP, drawSpoonAcross, dropOnPlate, flowFor, QUICK_CELLS } from '@/core/film/scenes';
import { cutSurface, diameterMm, emptySurface } from '@/core/film/surface';
import { spreadDiameter } from '@/core/flow/ring-spread';
import { useFrames } from './use-frames';
import type { SceneState } from './use-scene';

/** How long a pour is watched, s. */
const WATCHED_S = 30;
/** The film is stepped no coarser than this, s. */
const STEP_S = 1 / 30;
/** Where nobody watches it flow, s at a time. */
const AT_ONCE_STEP_S = 1 / 10;
/** What a spoon's line does is watched for so long where things do not move by themselves, s. */
const LINE_S = 3;

/** Whether things must not move by themselves here. */
const isStill = () => matchMedia('(prefers-reduced-motion: reduce)').matches;

/** Draws a film and reads it: s since it was poured, and mm across a disc as large as what is wet. */
function useReading(picture: SceneState) {
  const [read, setRead] = useState({ seconds: 0, wide: 0 });
  const surface = useMemo(() => emptySurface(CELLS), []);
  const show = useCallback(
    (film: GridFilm | undefined) => {
      if (!film) return;
      if (picture.kind === 'there') picture.scene.draw(film);
      cutSurface(film, surface);
      setRead({ seconds: film.seconds, wide: diameterMm(surface) });
    },
    [picture, surface],
  );
  return { ...read, show };
}

/**
 * 20 ml poured on a plate, as it runs: in real time, or at once.
 *
 * @param picture where it is drawn; without one it is worked out at once
 */
export function usePour(fluid: FilmFluid, picture: SceneState) {
  const film = useRef<GridFilm | undefined>(undefined);
  const tilt = useRef(0);
  const { seconds, wide, show } = useReading(picture);
  const [isRunning, setRunning] = useState(false);
  /** nothing but its own weight has moved it: the ring's closed form holds, as everywhere */
  const [isFree, setFree] = useState(true);

  const begin = useCallback(() => {
    if (picture.kind === 'coming') return;
    film.current = dropOnPlate(fluid, WATCHED_S, picture.kind === 'none' ? QUICK_CELLS : CELLS);
    const runs = picture.kind === 'there' && !isStill();
    if (!runs) flowFor(film.current, WATCHED_S, 0, AT_ONCE_STEP_S);
    setFree(tilt.current === 0);
    setRunning(runs);
    show(film.current);
  }, [fluid, picture.kind, show]);
  useEffect(begin, [begin]);

  useFrames(isRunning, (passed) => {
    const steps = Math.max(1, Math.round(passed / STEP_S));
    for (let i = 0; i < steps; i++) film.current?.step(passed / steps, Math.tan(tilt.current));
    show(film.current);
    if ((film.current?.seconds ?? 0) >= WATCHED_S && tilt.current === 0) setRunning(false);
  });

  /** Something other than its weight moved it: it runs on, or is shown some seconds later. */
  const moved = (later: number) => {
    setFree(false);
    if (isStill() && film.current) flowFor(film.current, later, Math.tan(tilt.current));
    else setRunning(true);
    show(film.current);
  };

  return {
    seconds,
    spread: isFree && seconds > 0 ? spreadDiameter(fluid, DROP.volumeMl, seconds, DROP.ringMm) : wide,
    again: begin,
    /** to the end of what is watched */
    atOnce: () => {
      const left = WATCHED_S - (film.current?.seconds ?? WATCHED_S);
      if (film.current && left > 0) flowFor(film.current, left, Math.tan(tilt.current), AT_ONCE_STEP_S);
      setRunning(tilt.current !== 0);
      show(film.current);
    },
    /** tilts the plate, radians; it runs for as long as it is tilted */
    tiltTo: (radians: number) => {
      tilt.current = radians;
      if (picture.kind === 'there') picture.scene.tilt(radians);
      moved(radians === 0 ? 0.1 : 1);
    },
    redraw: () => show(film.current),
    /** draws a spoon through it */
    spoon: () => {
      if (film.current) drawSpoonAcross(film.current, 0.9);
      moved(LINE_S);
    },
  };
}
