import { addTimes } from '../matter/component-vector';
import { nth } from '../nth';
import { stateAt } from '../predict/state';
import { asMeant, resistanceAt } from './as-meant';
import { type Exercise, type Filling, MOST_PORTIONS, nearestStep } from './exercises';
import { batchOf, type Cause, type HiddenPan } from './hidden-pan';
import type { Called } from './learner';
import { leastOf } from './least-fix';
import { observe, type Seen } from './observe';

/** What a learner says. */
export type Call =
  | { readonly kind: 'tomorrow'; readonly step: number }
  | { readonly kind: 'mend'; readonly row: number; readonly grams: number; readonly portions: number }
  | { readonly kind: 'when'; readonly temperatureC: number }
  | { readonly kind: 'which'; readonly pan: 0 | 1 }
  | { readonly kind: 'why'; readonly cause: Cause }
  | { readonly kind: 'spoon'; readonly filling: Filling };

/** How a call was. */
export interface Judgement {
  readonly isRight: boolean;
  /** said less true in its own measure; nothing where it has none */
  readonly called: Called | undefined;
  readonly miss: number | undefined;
  /** °C of the pan as it was judged; nothing where the call has no size */
  readonly panC: number | undefined;
}

/** A fix, and the pan after each of its portions. */
export interface Mended {
  /** g of the row that would do; nothing where it cannot mend it */
  readonly leastG: number | undefined;
  /** resistance after each portion, Pa, and what is then seen */
  readonly after: readonly { readonly grams: number; readonly resistancePa: number; readonly seen: Seen }[];
  readonly isInGate: boolean;
  /** what else it moves: firmness once it has set, Pa, as meant and after it */
  readonly setPa: { readonly meant: number; readonly after: number };
}

type Mend = Extract<Exercise, { kind: 'mend' }>;

/** A pan with so many grams of one of its rows put in besides. */
function withMore(pan: HiddenPan, row: number, grams: number): HiddenPan {
  const components = pan.components.slice();
  addTimes(components, nth(pan.base.rows, row).perGram, grams);
  return { ...pan, components, batch: batchOf(pan.base, components, pan.lnKitchen) };
}

/** Parts of the whole that are in after each portion: of fewer portions each is as uneven. */
function sharesOf(portions: Mend['portions'], count: number): readonly number[] {
  const taken = portions.slice(0, Math.min(Math.max(count, 1), MOST_PORTIONS));
  const sum = taken.reduce((all, each) => all + each, 0);
  return taken.map((_, i) => taken.slice(0, i + 1).reduce((all, each) => all + each, 0) / sum);
}

/** Puts a fix in, portion by portion, and looks at it at its pour; a cook stops as soon as it is in its gate. */
export function mend(
  { pan, low, high, portions: sizes }: Mend,
  { row, grams, portions }: Extract<Call, { kind: 'mend' }>,
): Mended {
  const atC = pan.base.pourC;
  const after: Mended['after'][number][] = [];
  let now = pan;
  let resistancePa = resistanceAt(pan, atC);
  const isRight = () => resistancePa >= low && resistancePa <= high;
  for (const share of sharesOf(sizes, portions)) {
    const added = grams * share;
    now = withMore(pan, row, added);
    resistancePa = resistanceAt(now, atC);
    after.push({ grams: added, resistancePa, seen: observe(now, atC) });
    if (isRight()) break;
  }
  const { base } = pan;
  const setPa = ({ batch }: HiddenPan) => stateAt(batch, base.eatC, [[base.hours, base.eatC]]).flow.resistancePa;
  return {
    leastG: leastOf(pan, atC, { low, high }, row),
    after,
    isInGate: isRight(),
    setPa: { meant: setPa(asMeant(base)), after: setPa(now) },
  };
}

/**
 * Judges a call. Too much and too little of the same size count the same.
 *
 * @throws {RangeError} the call is of another kind
 */
export function judge(exercise: Exercise, call: Call): Judgement {
  const plain = (isRight: boolean): Judgement => ({ isRight, called: undefined, miss: undefined, panC: undefined });
  if (exercise.kind === 'tomorrow' && call.kind === 'tomorrow') {
    const { steps, truth, where, atC } = exercise;
    const miss = Math.log(nth(steps, call.step) / truth);
    const called = where === 'side' ? 'coat' : 'cold';
    return { isRight: call.step === nearestStep(truth, steps), called, miss, panC: atC };
  }
  if (exercise.kind === 'mend' && call.kind === 'mend') {
    const { leastG, isInGate } = mend(exercise, call);
    const miss = leastG !== undefined && leastG > 0 && call.grams > 0 ? Math.log(call.grams / leastG) : undefined;
    if (miss === undefined) return plain(isInGate);
    return { isRight: isInGate, called: 'amount', miss, panC: exercise.atC };
  }
  if (exercise.kind === 'when' && call.kind === 'when') {
    const { leastC, mostC } = exercise.window;
    const isRight = call.temperatureC >= leastC && call.temperatureC <= mostC;
    const { pourC } = exercise.pan.base;
    return { isRight, called: 'temperature', miss: (call.temperatureC - pourC) / 10, panC: pourC };
  }
  if (exercise.kind === 'which' && call.kind === 'which') return plain(call.pan === exercise.answer);
  if (exercise.kind === 'why' && call.kind === 'why') return plain(call.cause === exercise.answer);
  if (exercise.kind === 'spoon' && call.kind === 'spoon') return plain(call.filling === exercise.answer);
  throw new RangeError('this call is of another exercise');
}
