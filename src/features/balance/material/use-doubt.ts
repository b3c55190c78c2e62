'use client';

import { useEffect, useState } from 'react';
import type { Formula } from '@/core/formula/formula';
import type { Doubt } from '@/core/predict/monte-carlo';
import type { DoubtDoor } from '@/workers/doubt.worker';
import { threadOf } from '@/workers/thread';

/** The same formula is always drawn from the same seed: the same answer. */
const SEED = 1;
const DRAWS = 2000;
/** Rest after the last edit before the full drawing begins, ms. */
const REST_MS = 80;

const startThread = () =>
  threadOf<DoubtDoor>(
    () => new Worker(new URL('../../../workers/doubt.worker.ts', import.meta.url), { type: 'module' }),
  );

/**
 * The full drawing of a formula's doubt, from a worker, once it has rested. Nothing until then: the screen shows the first-order band.
 */
export function useDoubt(formula: Formula | undefined, restedHours: number): Doubt | undefined {
  const [thread] = useState(startThread);
  const [drawn, setDrawn] = useState<{ formula: Formula; restedHours: number; doubt: Doubt } | undefined>();

  useEffect(() => thread.close, [thread]);

  useEffect(() => {
    if (!formula) return;
    let wanted = true;
    const timer = setTimeout(async () => {
      try {
        const doubt = await thread.ask((door) => door.draw(formula, { restedHours, seed: SEED, draws: DRAWS }));
        if (wanted && doubt) setDrawn({ formula, restedHours, doubt });
      } catch {
        // The first-order band stays; the next edit asks again.
      }
    }, REST_MS);
    return () => {
      wanted = false;
      clearTimeout(timer);
    };
  }, [formula, restedHours, thread]);

  return drawn && drawn.formula === formula && drawn.restedHours === restedHours ? drawn.doubt : undefined;
}
