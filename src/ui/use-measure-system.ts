'use client';

import { useSyncExternalStore } from 'react';
import type { MeasureSystem } from '@/core/matter/measures';

const PLACE = 'dark-pour:measures';

/** The choices, as a cook reads them. */
export const MEASURE_SYSTEMS: Record<MeasureSystem, string> = {
  grams: 'g',
  ounces: 'g + oz',
  cups: 'g + cups',
  usCups: 'g + US cups',
};

const listeners = new Set<() => void>();

function read(): MeasureSystem {
  try {
    const kept = localStorage.getItem(PLACE);
    return kept !== null && Object.hasOwn(MEASURE_SYSTEMS, kept) ? (kept as MeasureSystem) : 'grams';
  } catch {
    return 'grams';
  }
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  window.addEventListener('storage', listener);
  return () => {
    listeners.delete(listener);
    window.removeEventListener('storage', listener);
  };
}

/** The measures this tablet shows beside grams, and how to choose others. */
export function useMeasureSystem(): readonly [MeasureSystem, (system: MeasureSystem) => void] {
  const system = useSyncExternalStore(subscribe, read, (): MeasureSystem => 'grams');
  const choose = (next: MeasureSystem) => {
    try {
      localStorage.setItem(PLACE, next);
    } catch {
      // Storage barred: the choice holds until the page is left.
    }
    for (const listener of listeners) listener();
  };
  return [system, choose];
}
