import { proxy } from 'comlink';
import { useEffect } from 'react';
import type { MapAxis } from '@/core/balance/field-map';
import type { Formula } from '@/core/predict/formula';
import { readyMapThread } from './map-door';

/** After the bench has come up and rested, ms. */
const BENCH_RESTS_MS = 1200;
/** A field so small that drawing it only makes the thread warm. */
const SMALL = { columns: 12, rows: 9 };
const FIRST_TWO: readonly [MapAxis, MapAxis] = [
  { kind: 'grams', line: 0 },
  { kind: 'grams', line: 1 },
];

/**
 * Once the bench has come up: fetches what it may be asked for next and warms the threads that work it out, so that it is there at once, and
 * also while the server cannot be reached.
 */
export function useReadyAhead(
  formula: Formula | undefined,
  later: readonly { readonly ready: () => void }[],
  readyBalance: () => void,
): void {
  const drawable = formula !== undefined && formula.lines.length >= FIRST_TWO.length;
  // biome-ignore lint/correctness/useExhaustiveDependencies: once is enough, with any formula that can be drawn
  useEffect(() => {
    const timer = setTimeout(() => {
      for (const each of later) each.ready();
      if (!drawable) return;
      readyBalance();
      const nothing = proxy(() => undefined);
      readyMapThread()
        ?.ask((door) => door.map(formula, FIRST_TWO, SMALL, nothing))
        .catch(() => undefined);
    }, BENCH_RESTS_MS);
    return () => clearTimeout(timer);
  }, [drawable]);
}
