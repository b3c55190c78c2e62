'use client';

import type { Remote } from 'comlink';
import { useEffect, useState } from 'react';
import type { BalanceGoal } from '@/core/balance/goal';
import type { Formula } from '@/core/formula/formula';
import type { OtherFlow } from '@/core/swap/keep-curve';
import type { Substitute } from '@/core/swap/swap';
import type { KnownPan } from '@/kitchen/known-pan';
import type { BalanceAnswer, BalanceDoor, BalanceRequest, KeepAnswer, SwapAnswer } from '@/workers/balance.worker';
import { threadOf } from '@/workers/thread';
import type { FormulaDraft } from '../draft/edit';

/** A balance that was asked for: what it started from and what came of it. */
export interface BalanceOutcome extends Omit<BalanceAnswer, 'grams'> {
  readonly before: FormulaDraft;
  readonly pan: KnownPan;
  /** by row */
  readonly grams: ReadonlyMap<string, number>;
  readonly goal: BalanceGoal;
  /** rows that were rounded to cups and spoons */
  readonly rounded: readonly string[];
  /** ln within which the flow is kept as it was, where that was asked; `no` where it cannot be */
  readonly keeps?: number | 'no' | undefined;
  /** where the flow was to be another, and how many times as thick; all else is kept */
  readonly other?: OtherFlow | undefined;
}

const startThread = () =>
  threadOf<BalanceDoor>(
    () => new Worker(new URL('../../../workers/balance.worker.ts', import.meta.url), { type: 'module' }),
  );

/** Runs balances and swaps in a worker, so that the screen stays free. */
export function useBalance() {
  const [thread] = useState(startThread);
  const [busy, setBusy] = useState(false);

  useEffect(() => thread.close, [thread]);

  const run = async <Answer>(work: (door: Remote<BalanceDoor>) => Promise<Answer>): Promise<Answer> => {
    setBusy(true);
    try {
      return await thread.ask(work);
    } finally {
      setBusy(false);
    }
  };
  return {
    busy,
    ready: thread.ready,
    /** leaves off what it works on */
    stop: thread.close,
    ask: (formula: Formula, request: BalanceRequest): Promise<BalanceAnswer> =>
      run((door) => door.balance(formula, request)),
    keep: (reference: Formula, formula: Formula): Promise<KeepAnswer> => run((door) => door.keep(reference, formula)),
    flowOtherwise: (formula: Formula, other: OtherFlow): Promise<KeepAnswer> =>
      run((door) => door.flowOtherwise(formula, other)),
    swap: (formula: Formula, substitutes: ReadonlyMap<number, Substitute>): Promise<SwapAnswer> =>
      run((door) => door.swap(formula, substitutes)),
  };
}
