import { useEffect, useRef, useState } from 'react';
import type { GridFilm } from '@/core/film/grid-film';
import { CELLS, drawSpoonAcross, flowFor, layerInPan, layRibbon, RIBBON, SPOON_LINE } from '@/core/film/scenes';
import type { Seen } from '@/core/practice/observe';
import { useFrames } from '@/ui/sauce/use-frames';
import type { SceneState } from '@/ui/sauce/use-scene';
import { type Begun, LASTS, TILT_DEG, wantsStills } from './use-doing';

/** s a pan is still followed after the last thing that was done to it. */
const SETTLES_S = 8;

type Spot = { readonly x: number; readonly y: number };

/** The sauce in a practice pan: it flows as the pan is drawn through, tilted, or let fall into from a spoon. */
export function usePanFilm(seen: Seen, picture: SceneState, begun: Begun | undefined) {
  const film = useRef<GridFilm | undefined>(undefined);
  const tilt = useRef(0);
  const ribbonS = useRef(RIBBON.lastsS as number);
  const stillS = useRef(0);
  const [isRunning, setRunning] = useState(false);
  const scene = picture.kind === 'there' ? picture.scene : undefined;
  const pan = () => {
    film.current ??= layerInPan(seen, CELLS);
    return film.current;
  };
  /** Something was done: it is watched for a while, or shown as it is after that. */
  const stir = () => {
    stillS.current = 0;
    if (wantsStills()) {
      flowFor(pan(), LASTS.line, Math.tan(tilt.current));
      scene?.draw(pan());
    } else setRunning(true);
  };
  const tiltTo = (degrees: number) => {
    tilt.current = (degrees * Math.PI) / 180;
    scene?.tilt(tilt.current);
    stir();
  };

  // biome-ignore lint/correctness/useExhaustiveDependencies: drawn anew when the sauce or its picture is another one
  useEffect(() => {
    pan().become(seen);
    scene?.draw(pan());
  }, [seen, scene]);

  // biome-ignore lint/correctness/useExhaustiveDependencies: once for each time something is begun
  useEffect(() => {
    if (!begun || !scene) return;
    if (begun.kind === 'line') drawSpoonAcross(pan());
    if (begun.kind === 'ribbon') ribbonS.current = 0;
    if (begun.kind !== 'tilt') {
      if (begun.kind !== 'drop') stir();
      return;
    }
    tiltTo(TILT_DEG);
    const back = window.setTimeout(() => tiltTo(0), 1000 * LASTS.tilt);
    return () => window.clearTimeout(back);
  }, [begun]);

  useFrames(isRunning && scene !== undefined, (passed) => {
    if (ribbonS.current < RIBBON.lastsS) {
      layRibbon(pan(), ribbonS.current, passed);
      ribbonS.current += passed;
    }
    const steps = Math.max(1, Math.round(30 * passed));
    for (let i = 0; i < steps; i++) pan().step(passed / steps, Math.tan(tilt.current));
    scene?.draw(pan());
    stillS.current += passed;
    if (stillS.current > SETTLES_S && tilt.current === 0) setRunning(false);
  });

  return {
    tiltTo,
    /** draws a spoon from one place to another, m from the middle */
    spoon: (from: Spot, to: Spot) => {
      const { cells, cellM } = pan();
      const inFilm = ({ x, y }: Spot) => ({ x: x + (cells * cellM) / 2, y: y + (cells * cellM) / 2 });
      pan().groove(inFilm(from), inFilm(to), SPOON_LINE.wideM, SPOON_LINE.leavesM);
      stir();
    },
  };
}
