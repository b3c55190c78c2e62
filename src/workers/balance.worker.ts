import { expose } from 'comlink';
import { type BalanceGoal, balanceFor } from '@/core/balance/goal';
import { type BalanceResult, sizeOfChange } from '@/core/balance/result';
import type { Formula } from '@/core/formula/formula';
import { type CupSystem, fillings, type Measurable, type MeasureSystem } from '@/core/matter/measures';
import { monteCarlo } from '@/core/predict/monte-carlo';
import { predictFormula } from '@/core/predict/predict-formula';
import { flowOtherwise, type KeptCurve, keepCurve, type OtherFlow } from '@/core/swap/keep-curve';
import { type Substitute, swap } from '@/core/swap/swap';

/** What a balance came to, as far as the screen needs it. */
export interface BalanceAnswer extends Pick<BalanceResult, 'status' | 'grams' | 'change' | 'inTheWay'> {
  /** that every gate lands, before and after, 0-1 */
  readonly chance: readonly [before: number, after: number];
}

/** What a swap came to, as far as the screen needs it. */
export interface SwapAnswer {
  /** g of every line */
  readonly grams: readonly number[];
  /** ln within which the resistance stays at every moment; nothing when the curve cannot be kept */
  readonly within: number | undefined;
}

/** A flow that was kept as it was. */
export interface KeepAnswer extends BalanceAnswer {
  /** ln within which the resistance stays at every moment; nothing when the curve cannot be kept */
  readonly within: number | undefined;
}

/** Cups and spoons to round to: by line, what is measured in which form; lines without are weighed. */
export interface Household {
  readonly system: MeasureSystem;
  readonly cups: CupSystem;
  readonly lines: readonly ({ readonly measurable: Measurable; readonly form: string | undefined } | undefined)[];
}

/** How to balance. */
export interface BalanceRequest {
  readonly goal: BalanceGoal;
  readonly household: Household | undefined;
  readonly freeTotal: boolean;
}

/** As the bench draws it once the pan rests. */
const chanceOf = (formula: Formula) => monteCarlo(formula, { restedHours: 24, seed: 1, draws: 1000 }).chance;

/** A flow that was kept, or changed at one moment, for the screen. */
function keepAnswer(formula: Formula, { formula: kept, within }: KeptCurve): KeepAnswer {
  const grams = kept.lines.map((line) => line.grams);
  return {
    status: within === undefined ? 'nearest' : 'lands',
    grams,
    change: sizeOfChange(
      formula.lines.map((line) => line.grams),
      grams,
    ),
    inTheWay: [],
    chance: [chanceOf(formula), chanceOf(kept)],
    within,
  };
}

const door = {
  balance(formula: Formula, { goal, household, freeTotal }: BalanceRequest): BalanceAnswer {
    const fillable =
      household &&
      ((line: number, grams: number) => {
        const measured = household.lines[line];
        return measured && fillings(measured.measurable, grams, household.system, measured.form, household.cups);
      });
    const { status, grams, change, inTheWay, formula: after } = balanceFor(formula, goal, { fillable, freeTotal });
    return { status, grams, change, inTheWay, chance: [chanceOf(formula), chanceOf(after)] };
  },

  keep(reference: Formula, formula: Formula): KeepAnswer {
    const before = predictFormula({ ...reference, moments: formula.moments, gates: formula.gates });
    if (!before) throw new RangeError('There is no flow to keep: the pan was empty.');
    return keepAnswer(formula, keepCurve(before, formula));
  },

  flowOtherwise: (formula: Formula, other: OtherFlow): KeepAnswer => keepAnswer(formula, flowOtherwise(formula, other)),

  swap(formula: Formula, substitutes: ReadonlyMap<number, Substitute>): SwapAnswer {
    const { formula: swapped, within } = swap(formula, substitutes);
    return { grams: swapped.lines.map((line) => line.grams), within };
  },
};

export type BalanceDoor = typeof door;

expose(door);
