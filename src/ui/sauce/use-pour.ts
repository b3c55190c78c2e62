import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { GridFilm } from '@/core/film/grid-film';
import type { FilmFluid } from '@/core/film/mobility';
import { CELLS, DROP, drawSpoonAcross, dropOnPlate, flowFor, QUICK_CELLS, SPOON_LINE } from '@/core/film/scenes';
import { cutSurface, diameterMm, emptySurface } from '@/core/film/surface';
import { spreadDiameter } from '@/core/flow/ring-spread';
import type { Tools } from './scene';
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

/** The ring is lifted so high, m, in so many s. */
const LIFT = { highM: 0.14, lastsS: 0.8 } as const;
/** A spoon is drawn over this part of the film, in so many s. */
const STROKE = { part: 0.9, lastsS: 0.7 } as const;

/** Draws a film with what stands beside it, and reads it: s since it was poured, and mm across a disc as large as what is wet. */
function useReading(picture: SceneState, fluid: FilmFluid, hasRuler: boolean) {
  const [read, setRead] = useState({ seconds: 0, wide: 0 });
  const surface = useMemo(() => emptySurface(CELLS), []);
  const spreadAfter = useCallback((s: number) => spreadDiameter(fluid, DROP.volumeMl, s, DROP.ringMm), [fluid]);
  const show = useCallback(
    (film: GridFilm | undefined, spoonAt?: Tools['spoonAt']) => {
      if (!film) return;
      const { seconds } = film;
      cutSurface(film, surface);
      const wide = diameterMm(surface);
      if (picture.kind === 'there') {
        const ringAt = seconds < LIFT.lastsS ? (LIFT.highM * seconds) / LIFT.lastsS : undefined;
        picture.scene.tools({ ringAt, rulerFrom: hasRuler ? -wide / 2000 : undefined, spoonAt });
        picture.scene.draw(film);
      }
      setRead({ seconds, wide });
    },
    [picture, surface, hasRuler],
  );
  return { ...read, spreadAfter, show };
}

/** A spoon drawn through a film as it runs. */
function useStroke() {
  /** s since it began, while it lasts */
  const since = useRef<number | undefined>(undefined);
  return useMemo(
    () => ({
      begin: () => {
        since.current = 0;
      },
      end: () => {
        since.current = undefined;
      },
      /** cuts as far as it comes in a while; where the spoon is then, while it is in */
      cut: (film: GridFilm, passed: number): Tools['spoonAt'] => {
        if (since.current === undefined) return undefined;
        const sizeM = film.cells * film.cellM;
        const at = (s: number) => sizeM * (0.5 + STROKE.part * (Math.min(s / STROKE.lastsS, 1) - 0.5));
        const [from, to] = [at(since.current), at(since.current + passed)];
        film.groove({ x: from, y: sizeM / 2 }, { x: to, y: sizeM / 2 }, SPOON_LINE.wideM, SPOON_LINE.leavesM);
        since.current = since.current + passed < STROKE.lastsS ? since.current + passed : undefined;
        return since.current === undefined ? undefined : { x: to - sizeM / 2, y: 0 };
      },
    }),
    [],
  );
}

/**
 * 20 ml poured on a plate, as it runs: in real time, or at once.
 *
 * @param picture where it is drawn; without one it is worked out at once
 * @param hasRuler a ruler lies over it
 */
export function usePour(fluid: FilmFluid, picture: SceneState, hasRuler: boolean) {
  const film = useRef<GridFilm | undefined>(undefined);
  const tilt = useRef(0);
  const stroke = useStroke();
  const { seconds, wide, spreadAfter, show } = useReading(picture, fluid, hasRuler);
  const [isRunning, setRunning] = useState(false);
  /** nothing but its own weight has moved it: the ring's closed form holds, as everywhere */
  const [isFree, setFree] = useState(true);

  const begin = useCallback(() => {
    if (picture.kind === 'coming') return;
    film.current = dropOnPlate(fluid, WATCHED_S, picture.kind === 'none' ? QUICK_CELLS : CELLS);
    stroke.end();
    const runs = picture.kind === 'there' && !isStill();
    if (!runs) flowFor(film.current, WATCHED_S, 0, AT_ONCE_STEP_S);
    setFree(tilt.current === 0);
    setRunning(runs);
  }, [fluid, picture.kind, stroke]);
  useEffect(begin, [begin]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: what was begun anew is shown as well
  useEffect(() => show(film.current), [begin, show]);

  useFrames(isRunning, (passed) => {
    const running = film.current;
    if (!running) return;
    const spoonAt = stroke.cut(running, passed);
    const steps = Math.max(1, Math.round(passed / STEP_S));
    for (let i = 0; i < steps; i++) running.step(passed / steps, Math.tan(tilt.current));
    show(running, spoonAt);
    if (running.seconds >= WATCHED_S && tilt.current === 0 && !spoonAt) setRunning(false);
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
    spread: isFree && seconds > 0 ? spreadAfter(seconds) : wide,
    again: () => {
      begin();
      show(film.current);
    },
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
      if (!film.current) return;
      if (isStill() || picture.kind !== 'there') drawSpoonAcross(film.current, STROKE.part);
      else stroke.begin();
      moved(LINE_S);
    },
  };
}
