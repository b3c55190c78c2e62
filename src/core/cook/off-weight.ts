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

/** Another amount of everything is the cook's own formula still: something else has to be better by so much, 0-1. */
const WORTH_ANOTHER = 0.05;

/** Rows that are not in yet, in the proportion in which the rows that are in are off. */
function scaled(planned: Formula, grams: readonly number[], isIn: readonly boolean[]): readonly number[] {
  const sum = (of: (row: number) => number) => grams.reduce((all, _, row) => all + (isIn[row] ? of(row) : 0), 0);
  const times =
    sum((row) => grams[row] ?? 0) /
    Math.max(
      sum((row) => planned.lines[row]?.grams ?? 0),
      1e-9,
    );
  return planned.lines.map((line, row) => (isIn[row] ? (grams[row] ?? line.grams) : times * line.grams));
}

/**
 * What comes of a batch in which a row weighs other than planned, and what makes up for it: rows that are in stay, the others move, the batch may
 * grow. The others in proportion, which is the formula again; where the middle of its gates is likelier, they are steered there.
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
  const start = withGrams(planned, scaled(planned, grams, isIn));
  const lines = start.lines.map((line, row) => ({ ...line, locked: line.locked || isIn[row] === true }));
  if (lines.every(({ locked }) => locked)) return { planned: before, leave, makeUp: undefined };
  const inProportion = lines.map((line) => line.grams);
  const hasGates = planned.gates.length > 0;
  const steered = hasGates && balanceFor({ ...start, lines }, 'mostRobust', { freeTotal: true, explain: false });
  const ways = steered && steered.status === 'lands' ? [inProportion, steered.grams] : [inProportion];
  const made = ways.flatMap((each) => {
    const outlook = outlookOf(withGrams(planned, each));
    return outlook && outlook.missed.length === 0 ? [{ grams: each, outlook }] : [];
  });
  const best = made.reduce<OffWeight['makeUp']>(
    (kept, each) => (kept && each.outlook.chance < kept.outlook.chance + WORTH_ANOTHER ? kept : each),
    undefined,
  );
  // Without gates nothing can be better: the formula is kept by its proportions.
  const isWorth = best && (!hasGates || best.outlook.chance > leave.chance);
  return { planned: before, leave, makeUp: isWorth ? best : undefined };
}
