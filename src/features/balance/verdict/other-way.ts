import { BALANCE_GOALS, type BalanceGoal } from '@/core/balance/goal';
import type { BalanceOutcome } from './use-balance';

type Proposed = Pick<BalanceOutcome, 'grams'>;

/** Whether two proposals would put the same grams into every row. */
const sameGrams = (a: Proposed, b: Proposed) => [...a.grams].every(([key, grams]) => b.grams.get(key) === grams);

/**
 * The first of the goals that follow one that wants other grams than a proposal.
 *
 * @param goal the proposal's own
 * @param ask balances with a goal
 * @throws {Error} none does
 */
export async function otherWay<Outcome extends Proposed>(
  goal: BalanceGoal,
  now: Proposed,
  ask: (wanted: BalanceGoal) => Promise<Outcome>,
): Promise<Outcome> {
  const at = BALANCE_GOALS.indexOf(goal);
  for (const wanted of [...BALANCE_GOALS.slice(at + 1), ...BALANCE_GOALS.slice(0, at)]) {
    const outcome = await ask(wanted);
    if (!sameGrams(outcome, now)) return outcome;
  }
  throw new Error('There is no other way: every goal moves the same grams.');
}
