import { useEffect, useState } from 'react';

/** What a hand does with the pan. */
type Kind = 'line' | 'tilt' | 'drop' | 'ribbon';
/** What is done, and for how many seconds by now. */
export type Doing = { readonly kind: Kind; readonly seconds: number } | undefined;
/** What was begun, and when, ms. */
export interface Begun {
  readonly kind: Kind;
  readonly at: number;
}

/** How long each is watched, s, as long as it takes at the stove: how fast it moves is what tells. */
export const LASTS = { line: 8, tilt: 6, drop: 30, ribbon: 6 } as const;
/** How far a press tilts the pan. */
export const TILT_DEG = 14;

export const wantsStills = () => window.matchMedia('(prefers-reduced-motion: reduce)').matches;

/** What the hand is doing, moved on by the clock of the screen; who wants no motion sees the end at once. */
export function useDoing() {
  const [doing, setDoing] = useState<Doing>();
  const [begun, setBegun] = useState<Begun | undefined>();
  useEffect(() => {
    if (!begun) return;
    const { kind, at } = begun;
    if (wantsStills()) {
      setDoing({ kind, seconds: LASTS[kind] });
      return;
    }
    let frame = 0;
    const step = (now: number) => {
      const seconds = Math.min((now - at) / 1000, LASTS[kind]);
      setDoing({ kind, seconds: Math.max(seconds, 0) });
      if (seconds < LASTS[kind]) frame = requestAnimationFrame(step);
    };
    frame = requestAnimationFrame(step);
    return () => cancelAnimationFrame(frame);
  }, [begun]);
  return { doing, begun, begin: (kind: Kind) => setBegun({ kind, at: performance.now() }) };
}
