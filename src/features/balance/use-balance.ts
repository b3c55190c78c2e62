'use client';

import { type Remote, wrap } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { Formula } from '@/core/predict/formula';
import type { BalanceAnswer, BalanceDoor } from '@/workers/balance.worker';
import type { FormulaDraft } from './formula-draft';

/** A balance that was asked for: what it started from and what came of it. */
export interface BalanceOutcome {
  readonly before: FormulaDraft;
  readonly answer: BalanceAnswer;
}

/** Runs balances in a worker, so that the screen stays free; the last one asked for counts. */
export function useBalance() {
  const worker = useRef<{ thread: Worker; door: Remote<BalanceDoor> } | undefined>(undefined);
  const [busy, setBusy] = useState(false);

  useEffect(() => () => worker.current?.thread.terminate(), []);

  const ask = async (formula: Formula): Promise<BalanceAnswer> => {
    if (!worker.current) {
      const thread = new Worker(new URL('../../workers/balance.worker.ts', import.meta.url), { type: 'module' });
      worker.current = { thread, door: wrap<BalanceDoor>(thread) };
    }
    setBusy(true);
    try {
      return await worker.current.door.balance(formula);
    } finally {
      setBusy(false);
    }
  };
  return { ask, busy };
}
