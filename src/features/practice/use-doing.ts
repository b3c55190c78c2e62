import { useEffect, useState } from 'react';
import type { Doing } from './pan-scene';

/** How long each is watched, s, as long as it takes at the stove: how fast it moves is what tells. */
const LASTS = { line: 8, tilt: 6, drop: 30, ribbon: 6 } as const;

const wantsStills = () => window.matchMedia('(prefers-reduced-motion: reduce)').matches;

/** What the hand is doing, moved on by the clock of the screen; who wants no motion sees the end at once. */
export function useDoing() {
  const [doing, setDoing] = useState<Doing>();
  const [begun, setBegun] = useState<{ kind: NonNullable<Doing>['kind']; at: number } | undefined>();
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
  return { doing, begin: (kind: NonNullable<Doing>['kind']) => setBegun({ kind, at: performance.now() }) };
}
