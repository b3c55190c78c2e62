import { useEffect, useState } from 'react';

/** Draws a page anew every so often, for clocks. */
export function useSecond(everyMs = 500): void {
  const [, setTick] = useState(0);
  useEffect(() => {
    const timer = setInterval(() => setTick((tick) => tick + 1), everyMs);
    return () => clearInterval(timer);
  }, [everyMs]);
}
