'use client';

import { type Remote, wrap } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { Formula } from '@/core/predict/formula';
import type { Doubt } from '@/core/predict/monte-carlo';
import type { DoubtDoor } from '@/workers/doubt.worker';

/** The same formula is always drawn from the same seed: the same answer. */
const SEED = 1;
const DRAWS = 2000;
/** Rest after the last edit before the full drawing begins, ms. */
const REST_MS = 80;

/**
 * The full drawing of a formula's doubt, from a worker, once it has rested. Nothing until then: the screen shows the first-order band.
 */
export function useDoubt(formula: Formula | undefined, restedHours: number): Doubt | undefined {
  const worker = useRef<{ thread: Worker; door: Remote<DoubtDoor> } | undefined>(undefined);
  const [drawn, setDrawn] = useState<{ formula: Formula; restedHours: number; doubt: Doubt } | undefined>();

  useEffect(
    () => () => {
      worker.current?.thread.terminate();
      worker.current = undefined;
    },
    [],
  );

  useEffect(() => {
    if (!formula) return;
    let wanted = true;
    const timer = setTimeout(async () => {
      if (!worker.current) {
        const thread = new Worker(new URL('../../workers/doubt.worker.ts', import.meta.url), { type: 'module' });
        worker.current = { thread, door: wrap<DoubtDoor>(thread) };
      }
      const doubt = await worker.current.door.draw(formula, { restedHours, seed: SEED, draws: DRAWS });
      if (wanted && doubt) setDrawn({ formula, restedHours, doubt });
    }, REST_MS);
    return () => {
      wanted = false;
      clearTimeout(timer);
    };
  }, [formula, restedHours]);

  return drawn && drawn.formula === formula && drawn.restedHours === restedHours ? drawn.doubt : undefined;
}
