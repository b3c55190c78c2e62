'use client';

import { useRef, useState } from 'react';
import type { BalanceGoal } from '@/core/balance/goal';
import type { Obstacle } from '@/core/balance/obstacles';
import type { OtherFlow } from '@/core/swap/keep-curve';
import type { Substitute } from '@/core/swap/swap';
import { messageOf } from '@/formats/message-of';
import type { Larder } from '@/kitchen/known-item';
import { byKey, type KnownPan, knownPan } from '@/kitchen/known-pan';
import type { Household, KeepAnswer } from '@/workers/balance.worker';
import { StoppedError } from '@/workers/thread';
import type { Edit, FormulaDraft, Loosening } from '../draft/edit';
import { applyEdit } from '../draft/formula-draft';
import { heldPan } from '../draft/keep-flow';
import type { OpenFormula } from '../draft/use-formula';
import { otherWay } from './other-way';
import { type BalanceOutcome, useBalance } from './use-balance';

/** What a balance depends on, as text: an answer to an older question is let go. */
function requestOf({ lines, gates, moments, process }: FormulaDraft): string {
  return JSON.stringify([lines, gates, moments, process]);
}

/** Obstacles that can be let go in the formula itself, by the keys of their rows; the total is let go in the question. */
const loosenings = (obstacles: readonly Obstacle[], { keys }: KnownPan): Loosening[] =>
  obstacles.flatMap((obstacle): Loosening[] => {
    if (obstacle.kind === 'total') return [];
    if (obstacle.kind === 'gate') return [obstacle];
    const key = keys[obstacle.line];
    return key === undefined ? [] : [{ kind: obstacle.kind, key }];
  });

/** Puts a proposal into the pan; rows it rounded and moved are measured by volume from now on. */
function acceptance({ grams, rounded }: BalanceOutcome, draft: FormulaDraft): Edit {
  const now = new Map(draft.lines.map((line) => [line.key, line.grams]));
  return { type: 'balanced', grams, byVolume: new Set(rounded.filter((key) => grams.get(key) !== now.get(key))) };
}

/** A swap, by the keys of the rows. */
export interface SwapOutcome {
  readonly grams: ReadonlyMap<string, number>;
  /** ln within which the resistance stays at every moment; nothing when the curve cannot be kept */
  readonly within: number | undefined;
}

/** Asks for a swap, which counts lines, by the keys of the rows. */
async function swapByKey(
  swap: ReturnType<typeof useBalance>['swap'],
  pan: KnownPan,
  substitutes: ReadonlyMap<string, Substitute>,
): Promise<SwapOutcome> {
  const byLine = new Map(
    pan.keys.flatMap((key, line) => {
      const substitute = substitutes.get(key);
      return substitute ? [[line, substitute] as const] : [];
    }),
  );
  const { grams, within } = await swap(pan.formula, byLine);
  return { grams: byKey(pan, grams), within };
}

/** A flow that was kept, or changed at one moment, as a proposal. */
function keptOutcome(
  asked: { draft: FormulaDraft; pan: KnownPan; goal: BalanceGoal; other?: OtherFlow },
  { grams, within, ...answer }: KeepAnswer,
): BalanceOutcome {
  const { draft, pan, goal, other } = asked;
  return { ...answer, before: draft, pan, grams: byKey(pan, grams), goal, rounded: [], keeps: within ?? 'no', other };
}

/** The last answer, while the pan is what it was asked about. */
function useHeldProposal(draft: FormulaDraft) {
  const [fault, setFault] = useState<string | undefined>();
  const [held, setHeld] = useState<BalanceOutcome | undefined>();
  const latest = useRef(draft);
  latest.current = draft;
  /** Holds an answer, if the pan is still what was asked about. */
  const hold = async (asked: FormulaDraft, answer: () => Promise<BalanceOutcome>) => {
    setFault(undefined);
    try {
      const outcome = await answer();
      if (requestOf(latest.current) === requestOf(asked)) setHeld(outcome);
    } catch (error) {
      if (!(error instanceof StoppedError)) setFault(messageOf(error));
    }
  };
  return {
    proposal: held && requestOf(held.before) === requestOf(draft) ? held : undefined,
    fault,
    latest,
    hold,
    letGo: () => setHeld(undefined),
  };
}

/**
 * Asks for balances and holds their answers as proposals: nothing changes in the pan until one is accepted. Rows are known by their keys
 * everywhere; only the worker counts lines.
 *
 * @param household cups and spoons to round to, for the pan given; nothing for the scale
 */
export function useBalancing(
  formula: OpenFormula,
  larder: Larder,
  household: (draft: FormulaDraft, pan: KnownPan) => Household | undefined,
) {
  const { draft, edit, reference, calibration } = formula;
  const { busy, ready, stop, ask: askWorker, keep, flowOtherwise, swap } = useBalance();
  const [goal, setGoal] = useState<BalanceGoal>('close');
  const { proposal, fault, latest, hold, letGo } = useHeldProposal(draft);

  const outcomeOf = async (asked: FormulaDraft, pan: KnownPan, wanted: BalanceGoal, freeTotal = false) => {
    const cups = household(asked, pan);
    const { grams, ...answer } = await askWorker(pan.formula, { goal: wanted, household: cups, freeTotal });
    const rounded = pan.keys.filter((_, i) => cups?.lines[i] !== undefined);
    return { ...answer, before: asked, pan, grams: byKey(pan, grams), goal: wanted, rounded };
  };
  const ask = async (asked: FormulaDraft, wanted: BalanceGoal, freeTotal = false) => {
    const pan = knownPan(asked, larder, calibration);
    if (busy || !pan.formula.lines.some(({ grams }) => grams > 0)) return;
    await hold(asked, () => outcomeOf(asked, pan, wanted, freeTotal));
  };

  return {
    busy,
    stop,
    /** why no balance came */
    fault,
    /** starts the worker before it is asked */
    ready,
    swap: (pan: KnownPan, substitutes: ReadonlyMap<string, Substitute>) => swapByKey(swap, pan, substitutes),
    /** balances back to the flow the pan had before it was changed; what was changed stays */
    keepFlow: async () => {
      if (busy) return;
      const was = knownPan(reference, larder, calibration);
      const pan = heldPan(draft, reference, larder, calibration);
      await hold(draft, async () => keptOutcome({ draft, pan, goal }, await keep(was.formula, pan.formula)));
    },
    /** makes it flow otherwise at one moment; the rest stays */
    flowOtherwise: async (other: OtherFlow) => {
      const pan = knownPan(draft, larder, calibration);
      if (busy || !pan.formula.lines.some(({ grams }) => grams > 0)) return;
      await hold(draft, async () => keptOutcome({ draft, pan, goal, other }, await flowOtherwise(pan.formula, other)));
    },
    goal,
    proposal,
    setGoal: (wanted: BalanceGoal) => {
      setGoal(wanted);
      letGo();
    },
    balance: () => void ask(draft, goal),
    /** asks with the goals that follow, until one wants other grams */
    another: async () => {
      if (busy || !proposal) return;
      await hold(draft, async () => {
        const other = await otherWay(goal, proposal, (wanted) => outcomeOf(draft, proposal.pan, wanted));
        setGoal(other.goal);
        return other;
      });
    },
    /** puts the proposal into the pan */
    accept: () => proposal && edit(acceptance(proposal, draft)),
    refuse: letGo,
    /** lets some things go and asks again */
    loosen: (obstacles: readonly Obstacle[]) => {
      if (!proposal) return;
      const things = loosenings(obstacles, proposal.pan);
      const loosen: Edit | undefined = things.length > 0 ? { type: 'loosen', things } : undefined;
      if (loosen) edit(loosen);
      const next = loosen ? applyEdit(draft, loosen) : draft;
      latest.current = next;
      const freeTotal = obstacles.some(({ kind }) => kind === 'total');
      void ask(next, goal, freeTotal);
    },
  };
}

export type Balancing = ReturnType<typeof useBalancing>;
