import { useEffect, useRef } from 'react';
import type { Formula } from '@/core/formula/formula';
import { LATER_PARTS } from './later-parts';
import { largestTwo } from './material/map-axes';
import { drawAhead } from './material/map-door';

/** After the bench has come up and rested, ms; and after an edit. */
const BENCH_RESTS_MS = 1200;
const EDIT_RESTS_MS = 400;

/**
 * Once the bench has come up: fetches what it may be asked for next and starts the threads that work it out, so that it is there at once, and
 * also while the server cannot be reached. After each edit that rests, the map's first picture is drawn ahead.
 *
 * @param formula nothing where no map can be drawn of it
 */
export function useReadyAhead(formula: Formula | undefined, readyBalance: () => void): void {
  const isUp = useRef(false);
  useEffect(() => {
    const getReady = () => {
      if (!isUp.current) for (const part of LATER_PARTS) part.ready();
      isUp.current = true;
      if (!formula || formula.lines.length < 2) return;
      readyBalance();
      void drawAhead(formula, largestTwo(formula));
    };
    const timer = setTimeout(getReady, isUp.current ? EDIT_RESTS_MS : BENCH_RESTS_MS);
    return () => clearTimeout(timer);
  }, [formula, readyBalance]);
}
