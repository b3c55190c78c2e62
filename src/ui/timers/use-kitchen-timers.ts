import { useCallback, useEffect, useRef, useState } from 'react';
import type { KitchenTimer } from '@/formats/timers';
import { RefusedError } from '@/kitchen/client/ask-server';
import { listTimers } from '@/kitchen/client/timers';
import { useChanges } from '@/kitchen/use-changes';

/** Many events come together: the list is asked for once after them, ms. */
const REST_MS = 600;
/** A list that could not be fetched is asked for again, ms. */
const AGAIN_MS = 5_000;

/** Everything in the kitchen that ends at a time, kept up to date, and the server's clock. */
export function useKitchenTimers() {
  const [timers, setTimers] = useState<readonly KitchenTimer[]>([]);
  const offsetMs = useRef(0);
  const wait = useRef<ReturnType<typeof setTimeout>>(undefined);
  const look = useCallback((afterMs = REST_MS) => {
    clearTimeout(wait.current);
    wait.current = setTimeout(async () => {
      try {
        const askedAt = performance.now();
        const found = await listTimers();
        const travelMs = (performance.now() - askedAt) / 2;
        offsetMs.current = found.nowMs + travelMs - performance.now();
        setTimers(found.timers);
      } catch (error) {
        // Out of reach: what is known runs on, and is asked for again.
        if (error instanceof RefusedError && error.status === 0) look(AGAIN_MS);
      }
    }, afterMs);
  }, []);
  useEffect(() => {
    look(0);
    return () => clearTimeout(wait.current);
  }, [look]);
  useChanges(
    (change) => {
      if (change.what === 'batch') look();
    },
    () => look(0),
  );
  return { timers, now: useCallback(() => performance.now() + offsetMs.current, []) };
}
