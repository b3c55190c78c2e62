'use client';

import { useEffect, useRef } from 'react';
import { type Change, changeSchema } from '@/formats/change';

/** Someone who listens: to each change, and to being back after a while in which changes may have been missed. */
interface Hearer {
  readonly told: (change: Change) => void;
  readonly isBack: () => void;
}

/** Who listens on this page. All share one line: a browser has few of them. */
const hearers = new Set<Hearer>();
let line: EventSource | undefined;
/** the line has been open before: what opens it again may have missed something */
let hasListened = false;

/** A page behind others gives its line to the server back, and so does one on which nobody listens. */
function followSight(): void {
  const isWanted = hearers.size > 0 && document.visibilityState === 'visible';
  if (!isWanted) {
    line?.close();
    line = undefined;
  } else if (!line) {
    line = new EventSource('/api/changes');
    let wasOpen = hasListened;
    line.onopen = () => {
      if (wasOpen) for (const hearer of hearers) hearer.isBack();
      wasOpen = true;
      hasListened = true;
    };
    line.onmessage = ({ data }) => {
      const change = changeSchema.safeParse(JSON.parse(data));
      if (change.success) for (const hearer of hearers) hearer.told(change.data);
    };
  }
}

function listen(hearer: Hearer): () => void {
  if (hearers.size === 0) document.addEventListener('visibilitychange', followSight);
  hearers.add(hearer);
  followSight();
  return () => {
    hearers.delete(hearer);
    if (hearers.size === 0) document.removeEventListener('visibilitychange', followSight);
    followSight();
  };
}

/**
 * Hears what changes in the kitchen for as long as the page is looked at.
 *
 * @param isBack called when the line to the server is open again: a tablet that slept, a page that was behind others, an outage
 */
export function useChanges(told: (change: Change) => void, isBack: () => void = () => undefined): void {
  const latest = useRef({ told, isBack });
  latest.current = { told, isBack };
  useEffect(() => listen({ told: (change) => latest.current.told(change), isBack: () => latest.current.isBack() }), []);
}
