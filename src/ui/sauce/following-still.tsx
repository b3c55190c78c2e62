'use client';

import { type ReactNode, useEffect, useRef, useState } from 'react';
import { CLOSER } from './sauce-still';
import type { StillOf } from './stills';

/** Figures that rest so long are drawn finely, ms. */
const RESTS_MS = 250;

/** Draws the newest of what is asked for on a canvas: coarsely while it changes, finely once it rests. */
function useFollowing(of: StillOf) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const newest = useRef<{ readonly of: StillOf; readonly isQuick: boolean } | undefined>(undefined);
  const isBusy = useRef(false);
  const [isDrawn, setDrawn] = useState(false);
  useEffect(() => {
    const drawNewest = async () => {
      if (isBusy.current) return;
      isBusy.current = true;
      try {
        const { drawOn } = await import('./stills');
        while (newest.current && canvas.current) {
          const next = newest.current;
          newest.current = undefined;
          await drawOn(canvas.current, next.of, next.isQuick);
          setDrawn(true);
        }
      } catch {
        // No graphics: the flat drawing stays.
      } finally {
        isBusy.current = false;
      }
    };
    const draw = (isQuick: boolean) => {
      newest.current = { of, isQuick };
      drawNewest();
    };
    draw(true);
    const rests = window.setTimeout(() => draw(false), RESTS_MS);
    return () => window.clearTimeout(rests);
  }, [of]);
  return { canvas, isDrawn };
}

/** A still of a sauce that follows its figures while they are changed; where it cannot be drawn, a flat drawing stands in its place. */
export function FollowingStill({ of, name, flat }: { of: StillOf; name: string; flat: ReactNode }) {
  const { canvas, isDrawn } = useFollowing(of);
  return (
    <span className="relative block aspect-[5/3] overflow-hidden rounded-lg" data-still={isDrawn ? 'drawn' : 'flat'}>
      <canvas
        ref={canvas}
        role="img"
        aria-label={name}
        hidden={!isDrawn}
        className={isDrawn ? `size-full object-cover ${CLOSER[of.kind]}` : ''}
      />
      {!isDrawn && <span className="flex size-full items-center justify-center">{flat}</span>}
    </span>
  );
}
