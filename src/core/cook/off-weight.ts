import { balanceFor } from '../balance/goal';
import { type Formula, finishedMass } from '../formula/formula';
import type { GateReading } from '../formula/gates';
import { atThePour } from '../formula/moment-role';
import { linearChance } from '../predict/linear-chance';
import { predictFormula } from '../predict/predict-formula';

/** What a batch will be. */
export interface Outlook {
  /** that every gate lands, 0-1 */
  readonly chance: number;
  /** the gates it misses */
  readonly missed: readonly GateReading[];
  /** Pa at the pour */
  readonly resistancePa: number | undefined;
  /** g that leave the stove */
  readonly yieldG: number;
}

/** A row of which another weight is in than planned: what comes of it, and of what can be done. */
export interface OffWeight {
  readonly planned: Outlook;
  /** left as it is */
  readonly leave: Outlook;
  /** the rows that are not in yet, so that it lands in the middle of its gates; nothing where they cannot */
  readonly makeUp: { readonly grams: readonly number[]; readonly outlook: Outlook } | undefined;
}

/** What a formula will be; nothing while it is empty. */
export function outlookOf(formula: Formula): Outlook | undefined {
  const prediction = predictFormula(formula);
  return (
    prediction && {
      chance: linearChance(formula, prediction).chance,
      missed: prediction.gates.filter(({ lands }) => !lands),
      resistancePa: atThePour(prediction.moments)?.state.flow.resistancePa,
      yieldG: finishedMass(formula),
    }
  );
}

const withGrams = (formula: Formula, grams: readonly number[]): Formula => ({
  ...formula,
  lines: formula.lines.map((line, row) => ({ ...line, grams: grams[row] ?? line.grams })),
});

/**
 * What comes of a batch in which a row weighs other than planned, and what makes up for it: rows that are in stay, the others move, the batch may
 * grow; it is steered to the middle of its gates, since the pan has other doubts too.
 *
 * @param planned as written
 * @param grams g of every row as it is by now
 * @param isIn rows that are in
 * @returns nothing for an empty pan
 */
export function offWeight(planned: Formula, grams: readonly number[], isIn: readonly boolean[]): OffWeight | undefined {
  const now = withGrams(planned, grams);
  const [before, leave] = [outlookOf(planned), outlookOf(now)];
  if (!before || !leave) return undefined;
  const lines = now.lines.map((line, row) => ({ ...line, locked: line.locked || isIn[row] === true }));
  const free = { ...now, lines };
  if (lines.every(({ locked }) => locked)) return { planned: before, leave, makeUp: undefined };
  const { status, grams: found } = balanceFor(free, 'mostRobust', { freeTotal: true, explain: false });
  const outlook = status === 'lands' ? outlookOf(withGrams(now, found)) : undefined;
  const isBetter = outlook && outlook.chance > leave.chance;
  return { planned: before, leave, makeUp: isBetter ? { grams: found, outlook } : undefined };
}
