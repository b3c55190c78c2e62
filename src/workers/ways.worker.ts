import { expose } from 'comlink';
import type { Formula } from '@/core/formula/formula';
import { tryWays, usualOrder } from '@/core/method/propose';
import { methodRows } from '@/core/method/rows';
import type { WayId } from '@/core/method/step';
import { summariseWay, type WaySummary } from '@/core/method/way-summary';
import { methodInKitchen, type TriedMethod } from '@/core/method/ways/in-kitchen';
import { type Proposal, proposalOf, type WayQuestion } from '@/kitchen/method/proposals';

/** A formula in a kitchen while its ways are tried: each is followed once. */
function trialOf({ lines, hints, pourC, about, kitchen }: WayQuestion) {
  const rows = methodRows(lines, hints);
  const known = new Map<WayId, TriedMethod | undefined>();
  const tryOne = (way: WayId) => {
    if (!known.has(way)) known.set(way, methodInKitchen(way, rows, pourC, kitchen));
    return known.get(way);
  };
  return {
    rows,
    tryOne,
    order: usualOrder(rows, pourC, about).map(([way]) => way),
    proposing: () => tryWays(rows, pourC, about, kitchen, tryOne),
  };
}

let last: { readonly asked: string; readonly trial: ReturnType<typeof trialOf> } | undefined;

function trialFor(question: WayQuestion) {
  const asked = JSON.stringify(question);
  if (last?.asked !== asked) last = { asked, trial: trialOf(question) };
  return last.trial;
}

const door = {
  /**
   * The way that is proposed.
   *
   * @param told hears the share of the ways that were tried, 0-1
   */
  async propose(question: WayQuestion, told: (share: number) => void): Promise<Proposal | undefined> {
    const proposing = trialFor(question).proposing();
    for (;;) {
      const step = proposing.next();
      if (step.done) return step.value && proposalOf(step.value);
      told(step.value);
    }
  },

  /**
   * All ways that suit, side by side, in the order practitioners would take them.
   *
   * @param formula the same rows, as a prediction needs them
   * @param told hears of the ways tried so far
   */
  async compare(
    question: WayQuestion,
    formula: Formula,
    told: (ways: readonly WaySummary[]) => void,
  ): Promise<readonly WaySummary[]> {
    const { rows, tryOne, order } = trialFor(question);
    const ways: WaySummary[] = [];
    for (const way of order) {
      const tried = tryOne(way);
      if (tried) ways.push(summariseWay(formula, rows, tried));
      told([...ways]);
    }
    return ways;
  },
};

export type WaysDoor = typeof door;

expose(door);
