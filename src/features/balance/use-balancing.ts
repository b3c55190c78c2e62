'use client';

import { useRef, useState } from 'react';
import type { BalanceGoal } from '@/core/balance/goal';
import type { Obstacle } from '@/core/balance/obstacles';
import type { BalanceAnswer, Household } from '@/workers/balance.worker';
import { applyEdit, type FormulaDraft, type Loosening } from './formula-draft';
import { type BalanceOutcome, useBalance } from './use-balance';
import { knownLines, type Larder, type OpenFormula, predictDraft } from './use-formula';

/** What a balance depends on, as text: an answer to an older question is let go. */
function requestOf({ lines, gates, moments, process }: FormulaDraft): string {
  return JSON.stringify([lines, gates, moments, process]);
}

/** Obstacles that can be let go in the formula itself; the total is let go in the question. */
const loosenings = (obstacles: readonly Obstacle[]): Loosening[] =>
  obstacles.flatMap((obstacle): Loosening[] => (obstacle.kind === 'total' ? [] : [obstacle]));

/**
 * Asks for balances and holds their answers as proposals: nothing changes in the pan until one is accepted.
 *
 * @param household cups and spoons to round to, for the draft given; nothing for the scale
 */
export function useBalancing(
  formula: OpenFormula,
  larder: Larder,
  household: (draft: FormulaDraft) => Household | undefined,
) {
  const { draft, edit } = formula;
  const { busy, ready, ask: askWorker, swap } = useBalance();
  const [fault, setFault] = useState<string | undefined>();
  const [goal, setGoal] = useState<BalanceGoal>('close');
  const [held, setHeld] = useState<BalanceOutcome | undefined>();
  const latest = useRef(draft);
  latest.current = draft;
  const proposal = held && requestOf(held.before) === requestOf(draft) ? held : undefined;

  const ask = async (asked: FormulaDraft, wanted: BalanceGoal, freeTotal = false) => {
    const standing = predictDraft(asked, larder);
    if (!standing || busy || knownLines(asked, larder).length !== asked.lines.length) return;
    const cups = household(asked);
    setFault(undefined);
    let answer: BalanceAnswer;
    try {
      answer = await askWorker(standing.formula, { goal: wanted, household: cups, freeTotal });
    } catch (error) {
      setFault((error as Error).message);
      return;
    }
    if (requestOf(latest.current) !== requestOf(asked)) return;
    setHeld({ before: asked, answer, goal: wanted, byVolume: cups?.lines.map((line) => line !== undefined) });
  };

  return {
    busy,
    /** why no balance came, if none did */
    fault,
    /** starts the worker before it is asked */
    ready,
    swap,
    goal,
    proposal,
    setGoal: (wanted: BalanceGoal) => {
      setGoal(wanted);
      setHeld(undefined);
    },
    balance: () => void ask(draft, goal),
    /** asks again with another goal */
    tryGoal: (wanted: BalanceGoal) => {
      setGoal(wanted);
      void ask(draft, wanted);
    },
    /** puts the proposal into the pan */
    accept: () => {
      if (!proposal) return;
      const { answer, byVolume } = proposal;
      const moved = byVolume?.map((cup, i) => cup && answer.grams[i] !== draft.lines[i]?.grams);
      edit({ type: 'balanced', grams: answer.grams, byVolume: moved });
    },
    refuse: () => setHeld(undefined),
    /** lets some things go and asks again */
    loosen: (obstacles: readonly Obstacle[]) => {
      const loosen = { type: 'loosen', things: loosenings(obstacles) } as const;
      const next = loosen.things.length > 0 ? applyEdit(draft, loosen) : draft;
      if (loosen.things.length > 0) edit(loosen);
      latest.current = next;
      void ask(
        next,
        goal,
        obstacles.some(({ kind }) => kind === 'total'),
      );
    },
  };
}

export type Balancing = ReturnType<typeof useBalancing>;
