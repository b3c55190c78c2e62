'use client';

import { useEffect, useRef } from 'react';
import { type Change, changeSchema } from '@/formats/change';

/**
 * Hears what changes in the kitchen for as long as the page is looked at: a page behind others gives its line to the server back, since a
 * browser has few of them.
 */
export function useChanges(told: (change: Change) => void): void {
  const latest = useRef(told);
  latest.current = told;
  useEffect(() => {
    let line: EventSource | undefined;
    const followSight = () => {
      if (document.visibilityState !== 'visible') {
        line?.close();
        line = undefined;
      } else if (!line) {
        line = new EventSource('/api/changes');
        line.onmessage = ({ data }) => {
          const change = changeSchema.safeParse(JSON.parse(data));
          if (change.success) latest.current(change.data);
        };
      }
    };
    followSight();
    document.addEventListener('visibilitychange', followSight);
    return () => {
      document.removeEventListener('visibilitychange', followSight);
      line?.close();
    };
  }, []);
}
