import type { Calibration } from '@/core/learn/kitchen';
import type { Larder } from '@/kitchen/known-item';
import { type KeyedPan, type KnownPan, knownPan, type Predicted, predictPan } from '@/kitchen/known-pan';
import type { FormulaDraft } from './edit';

/** ln of the resistance by which the flow must have moved at a moment to be worth keeping. */
const MOVED_LN = 0.05;
/** Rows that must be free, so that something can move. */
const LEAST_FREE = 2;

/** Whether the pan flows otherwise than its reference did at one of its moments. */
export function flowsOtherwise(now: Predicted, reference: KeyedPan, larder: Larder, calibration: Calibration): boolean {
  const was = predictPan({ ...reference, moments: [...now.formula.moments], gates: [] }, larder, calibration);
  if (!was) return false;
  return now.prediction.moments.some(({ state }, m) => {
    const before = was.prediction.moments[m]?.state.flow.resistancePa ?? state.flow.resistancePa;
    return Math.abs(Math.log(state.flow.resistancePa / before)) > MOVED_LN;
  });
}

/** The rows the cook put in or changed since: they stay as they are, and the others move. */
export function changedRows(draft: FormulaDraft, reference: KeyedPan): ReadonlySet<string> {
  const left = [...reference.lines];
  const changed = draft.lines.flatMap(({ key, ingredient, grams }) => {
    const at = left.findIndex((line) => line.ingredient === ingredient);
    const [was] = left.splice(at, at < 0 ? 0 : 1);
    return was && Math.abs(was.grams - grams) < 1e-6 ? [] : [{ key, isNew: !was }];
  });
  const isTooMany = draft.lines.length - changed.length < LEAST_FREE;
  return new Set(changed.filter(({ isNew }) => isNew || !isTooMany).map(({ key }) => key));
}

/** The pan with the rows that stay held fast. */
export function heldPan(draft: FormulaDraft, reference: KeyedPan, larder: Larder, calibration: Calibration): KnownPan {
  const held = changedRows(draft, reference);
  return knownPan(
    { ...draft, lines: draft.lines.map((line) => ({ ...line, locked: line.locked || held.has(line.key) })) },
    larder,
    calibration,
  );
}
