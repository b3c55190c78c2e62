'use client';

import { proxy } from 'comlink';
import { type ComponentProps, useEffect, useState } from 'react';
import type { MapAxis } from '@/core/balance/field-map';
import type { Formula } from '@/core/predict/formula';
import { readyMapThread } from './map-door';
import type { MapView } from './map-view';

type MapViewProps = ComponentProps<typeof MapView>;

/** After the bench has come up and rested, ms. */
const BENCH_RESTS_MS = 1200;
/** A field so small that drawing it only makes the thread warm. */
const SMALL = { columns: 12, rows: 9 };
const FIRST_TWO: readonly [MapAxis, MapAxis] = [
  { kind: 'grams', line: 0 },
  { kind: 'grams', line: 1 },
];

let loaded: typeof MapView | undefined;

async function loadMapView(): Promise<typeof MapView> {
  loaded ??= (await import('./map-view')).MapView;
  return loaded;
}

/** Has the map's view and a warm thread ready before the map is first asked for. */
export function useReadyMap(formula: Formula | undefined): void {
  const drawable = formula !== undefined && formula.lines.length >= FIRST_TWO.length;
  // biome-ignore lint/correctness/useExhaustiveDependencies: once is enough, with any formula that can be drawn
  useEffect(() => {
    if (!drawable) return;
    const timer = setTimeout(() => {
      void loadMapView();
      void readyMapThread()?.door.map(
        formula,
        FIRST_TWO,
        SMALL,
        proxy(() => undefined),
      );
    }, BENCH_RESTS_MS);
    return () => clearTimeout(timer);
  }, [drawable]);
}

/** The map, in the same frame when it has been loaded before, or when it is. */
export function LaterMapView(props: MapViewProps) {
  const [View, setView] = useState(() => loaded);
  useEffect(() => {
    if (!View) void loadMapView().then((view) => setView(() => view));
  }, [View]);
  return View ? <View {...props} /> : <p className="p-6 text-mute">Drawing the map…</p>;
}
