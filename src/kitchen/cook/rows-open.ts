import { roundToScale } from '@/core/matter/scale-rounding';
import { type BatchState, weighedKey } from '@/formats/batch-state';
import type { CookedBatch } from './cook-batch';

/** A row, or its part, that goes in with a step. */
export interface StepRow {
  /** the step it was planned for */
  readonly step: number;
  readonly row: number;
  readonly share: number;
  /** g that are to go in: of what was weighed beforehand, else as planned */
  readonly wantedG: number;
}

type Of = Pick<CookedBatch, 'formula' | 'method'>;

/** The rows of a step, and those that were put off until it. */
export function rowsAt({ formula, method }: Of, state: BatchState, place: number): StepRow[] {
  const rowsOf = (step: number) =>
    (method.followed[step]?.step.adds ?? []).map(({ row, share }): StepRow => {
      const all = state.setOut.get(row) ?? formula.lines[row]?.grams ?? 0;
      return { step, row, share, wantedG: roundToScale(all * share) };
    });
  const putOff = method.followed
    .slice(0, place)
    .flatMap((_, step) => rowsOf(step))
    .filter(({ step, row }) => state.later.has(weighedKey(step, row)) && !state.weighed.has(weighedKey(step, row)));
  return [...putOff, ...rowsOf(place)].filter(({ wantedG }) => wantedG > 0);
}

/** The rows of a step nobody has said anything of: neither in, nor left out, nor later. One that was put off to here has to be said again. */
export function openRows(cooked: Of, state: BatchState, place: number): StepRow[] {
  return rowsAt(cooked, state, place).filter(
    ({ step, row }) => !state.weighed.has(weighedKey(step, row)) && !state.later.has(weighedKey(place, row)),
  );
}

/** Whether a row can be put off from a step: there is a later one in the pan or bowl. */
export const canPutOff = ({ method }: Of, place: number): boolean =>
  method.followed.slice(place + 1).some(({ step }) => step.where !== 'aside');

/** g of every row as it is by now: what went in, else what was weighed beforehand, else as planned. */
export function gramsAsTheyAre({ formula, method }: Of, state: BatchState): number[] {
  const sums = formula.lines.map(() => ({ grams: 0, share: 0 }));
  for (const [step, { step: about }] of method.followed.entries()) {
    for (const { row, share } of about.adds) {
      const weighed = state.weighed.get(weighedKey(step, row));
      const sum = sums[row];
      if (weighed === undefined || !sum) continue;
      sums[row] = { grams: sum.grams + weighed, share: sum.share + share };
    }
  }
  return formula.lines.map(({ grams }, row) => {
    const sum = sums[row] ?? { grams: 0, share: 0 };
    return sum.grams + Math.max(1 - sum.share, 0) * (state.setOut.get(row) ?? grams);
  });
}
