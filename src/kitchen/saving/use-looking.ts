import { useEffect, useRef } from 'react';
import type { StoredFormula } from '@/formats/server-answers';
import { useChanges } from '../use-changes';
import { answers } from './send-save';

const LOOK_EVERY_MS = 10_000;

/**
 * Looks what is kept of a formula now: when a save of it, or of what it is a variant of, is told, when the page wakes, and now and then.
 *
 * @param found told of what is kept; of nothing when it is deleted
 */
export function useLooking(
  { id, baseId }: { readonly id: string; readonly baseId: string | null },
  found: (kept: StoredFormula | undefined) => void,
): void {
  const latest = useRef(found);
  latest.current = found;
  const look = useRef<() => void>(() => undefined);
  useChanges((change) => {
    if (change.what === 'formula' && (change.id === id || change.id === baseId)) look.current();
  });
  useEffect(() => {
    const lookUp = async () => {
      if (document.visibilityState !== 'visible') return;
      try {
        const answer = await fetch(`/api/formulas/${id}`);
        if (answer.status === 404) latest.current(undefined);
        if (!answer.ok) return;
        const { readStored } = await answers();
        latest.current(readStored(await answer.json()));
      } catch {
        // Not reachable just now; saving will tell.
      }
    };
    look.current = () => void lookUp();
    const timer = setInterval(lookUp, LOOK_EVERY_MS);
    document.addEventListener('visibilitychange', lookUp);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', lookUp);
    };
  }, [id]);
}
