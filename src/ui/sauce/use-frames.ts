import { useEffect, useRef } from 'react';

/** A page that was away does not run after what it missed, s. */
const LONGEST_FRAME_S = 0.1;

/** Calls back at each frame while something runs, with the seconds since the last. */
export function useFrames(isRunning: boolean, onFrame: (passed: number) => void): void {
  const latest = useRef(onFrame);
  latest.current = onFrame;
  useEffect(() => {
    if (!isRunning) return;
    let last = performance.now();
    let frame = requestAnimationFrame(function next(now) {
      const passed = Math.min((now - last) / 1000, LONGEST_FRAME_S);
      last = now;
      if (passed > 0) latest.current(passed);
      frame = requestAnimationFrame(next);
    });
    return () => cancelAnimationFrame(frame);
  }, [isRunning]);
}
