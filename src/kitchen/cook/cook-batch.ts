import type { Formula } from '@/core/formula/formula';
import type { FrozenBatch } from '@/formats/batch';
import { lookUp } from '@/formats/look-up';
import { resolveFormula } from '@/formats/resolve-formula';
import { kitchenOf, type WorkedMethod, workMethod } from '../method/work-method';

/** What was frozen, worked out: its formula and names for its rows, and its method where there is one. */
export interface OpenedPan {
  readonly formula: Formula;
  readonly method: WorkedMethod | undefined;
  readonly names: readonly string[];
}

/** A batch as it is cooked: its method is worked out for its stove. */
export interface CookedBatch extends OpenedPan {
  readonly method: WorkedMethod;
}

/**
 * What was frozen, worked out: it needs nothing but itself.
 *
 * @param replanned g wanted of a row instead of what was planned
 */
export function openedPan(
  { file, stove, kitchenC }: FrozenBatch,
  replanned: ReadonlyMap<number, number> = new Map(),
): OpenedPan {
  const lines = file.lines.map((line, row) => ({ ...line, grams: replanned.get(row) ?? line.grams }));
  const now = { ...file, lines };
  const formula = resolveFormula(now, new Map(), 'standard');
  return {
    formula,
    method: workMethod(now, formula, kitchenOf(now, kitchenC, stove)),
    names: lines.map(({ ingredient }) => lookUp(file.ingredients, ingredient)?.name ?? ingredient),
  };
}

/**
 * A batch that is cooked.
 *
 * @throws {RangeError} it was kept without a method that can be followed
 */
export function cookedBatch(frozen: FrozenBatch, replanned?: ReadonlyMap<number, number>): CookedBatch {
  const { method, ...opened } = openedPan(frozen, replanned);
  if (!method) throw new RangeError('this batch has no method');
  return { ...opened, method };
}

/** Whether a method can still be followed with rows wanted in other amounts. */
export function takesReplans(frozen: FrozenBatch, replanned: ReadonlyMap<number, number>): boolean {
  try {
    return openedPan(frozen, replanned).method !== undefined;
  } catch {
    return false;
  }
}

/**
 * A batch as it is cooked now. Amounts with which no method can be followed are left as they were planned: what was written down before they were
 * looked at must not hide the batch.
 */
export function cookedNow(frozen: FrozenBatch, replanned: ReadonlyMap<number, number>): CookedBatch {
  if (replanned.size === 0 || takesReplans(frozen, replanned)) return cookedBatch(frozen, replanned);
  const taken = [...replanned].reduce((known, [row, grams]) => {
    const more = new Map(known).set(row, grams);
    return takesReplans(frozen, more) ? more : known;
  }, new Map<number, number>());
  return cookedBatch(frozen, taken);
}
