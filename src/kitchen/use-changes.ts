'use client';

import { useEffect, useRef } from 'react';
import { type Change, changeSchema } from '@/formats/change';

type Hearer = (change: Change) => void;

/** Who listens on this page. All share one line: a browser has few of them. */
const hearers = new Set<Hearer>();
let line: EventSource | undefined;

/** A page behind others gives its line to the server back, and so does one on which nobody listens. */
function followSight(): void {
  const isWanted = hearers.size > 0 && document.visibilityState === 'visible';
  if (!isWanted) {
    line?.close();
    line = undefined;
  } else if (!line) {
    line = new EventSource('/api/changes');
    line.onmessage = ({ data }) => {
      const change = changeSchema.safeParse(JSON.parse(data));
      if (change.success) for (const hear of hearers) hear(change.data);
    };
  }
}

function listen(hear: Hearer): () => void {
  if (hearers.size === 0) document.addEventListener('visibilitychange', followSight);
  hearers.add(hear);
  followSight();
  return () => {
    hearers.delete(hear);
    if (hearers.size === 0) document.removeEventListener('visibilitychange', followSight);
    followSight();
  };
}

/** Hears what changes in the kitchen for as long as the page is looked at. */
export function useChanges(told: Hearer): void {
  const latest = useRef(told);
  latest.current = told;
  useEffect(() => listen((change) => latest.current(change)), []);
}
