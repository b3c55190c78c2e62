import { useSyncExternalStore } from 'react';
import { dayOf } from '@/formats/day';

/** ms between two looks at the clock. */
const EVERY_MS = 20_000;

function subscribe(listener: () => void) {
  const timer = setInterval(listener, EVERY_MS);
  return () => clearInterval(timer);
}

/** Minutes of a day that have gone by, where that day is today; nothing on any other, and until the page listens. */
export function useNowOn(day: string): number | undefined {
  return useSyncExternalStore(
    subscribe,
    () => {
      const now = new Date();
      return dayOf(now) === day ? now.getHours() * 60 + now.getMinutes() : undefined;
    },
    () => undefined,
  );
}
