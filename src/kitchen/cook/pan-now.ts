import { addTimes, noComponents } from '@/core/matter/component-vector';
import { type ComponentVector, type Composition, compositionVector } from '@/core/matter/components';
import { boilOff } from '@/core/matter/mixing';
import { nth } from '@/core/nth';
import { type BatchState, weighedKey } from '@/formats/batch-state';
import type { WorkedMethod } from '../method/work-method';
import type { OpenedPan } from './cook-batch';

/** What is in the pan now, as far as is known. */
export interface PanNow {
  /** g of each row */
  readonly rows: readonly number[];
  /** g of what was not planned, one entry a thing */
  readonly added: readonly { readonly name: string; readonly components: Composition; readonly grams: number }[];
  /** g of water that is gone */
  readonly lostG: number;
  /** g that were poured off */
  readonly pouredG: number;
  /** every row that is in was weighed */
  readonly isWeighed: boolean;
  /** rows of steps that are done of which nobody said that they are in */
  readonly unsaid: readonly { readonly step: number; readonly row: number; readonly grams: number }[];
}

/** g of water reckoned to be gone by a moment: what the steps that were done by then had lost. */
function reckonedLost({ followed }: WorkedMethod, state: BatchState, ms: number): number {
  return followed.reduce((most, { end }, place) => {
    const { doneMs } = state.steps[place] ?? {};
    return doneMs !== undefined && doneMs <= ms ? Math.max(most, end.lostWaterG) : most;
  }, 0);
}

/** g that went in, before anything boiled or was poured off. */
export function massIn({ rows, added }: Pick<PanNow, 'rows' | 'added'>): number {
  return [...rows, ...added.map(({ grams }) => grams)].reduce((sum, grams) => sum + grams, 0);
}

/** g that are in the pan: what went in, less what boiled off and what was poured off. The one figure of it on every screen. */
export const leftG = (pan: PanNow): number => Math.max(massIn(pan) - pan.lostG - pan.pouredG, 0);

/** What counts of a row whose step is done, where nobody said that it is in: nothing beside the pan, its plan in the book. */
export type Unsaid = 'out' | 'asPlanned';

/**
 * What is in the pan of a batch: what somebody said is in. Steps that are not begun have put nothing in.
 *
 * @param state nothing where a formula is rescued without a batch: all of it is in
 */
export function panNow(
  { formula, method }: Pick<OpenedPan, 'formula' | 'method'>,
  state: BatchState | undefined,
  counts: Unsaid = 'out',
): PanNow {
  const planned = formula.lines.map(({ grams }) => grams);
  if (!state || !method)
    return {
      rows: planned,
      added: [],
      lostG: method?.followed.at(-1)?.end.lostWaterG ?? 0,
      pouredG: 0,
      isWeighed: false,
      unsaid: [],
    };
  const rows = planned.map(() => 0);
  const unsaid: { step: number; row: number; grams: number }[] = [];
  let lostG = 0;
  for (const [place, { step, end }] of method.followed.entries()) {
    const status = state.steps[place]?.status;
    if (status === 'todo') continue;
    for (const { row, share } of step.adds) {
      const key = weighedKey(place, row);
      const weighed = state.weighed.get(key);
      const grams = nth(planned, row) * share;
      const isUnsaid = weighed === undefined && status !== 'now' && !state.later.has(key);
      if (isUnsaid) unsaid.push({ step: place, row, grams });
      rows[row] = nth(rows, row) + (weighed ?? (isUnsaid && counts === 'asPlanned' ? grams : 0));
    }
    if (status === 'done') lostG = Math.max(lostG, end.lostWaterG);
  }
  const weighed = state.lost.at(-1);
  if (weighed) lostG = weighed.grams + Math.max(lostG - reckonedLost(method, state, weighed.ms), 0);
  return {
    rows,
    added: state.added,
    lostG,
    pouredG: state.poured.reduce((sum, { grams }) => sum + grams, 0),
    isWeighed: unsaid.length === 0,
    unsaid,
  };
}

/** g of each component in the pan now; never less than nothing, however much was poured off. */
export function componentsNow(
  { formula }: Pick<OpenedPan, 'formula'>,
  { rows, added, lostG, pouredG }: PanNow,
): ComponentVector {
  const all = noComponents();
  for (const [row, grams] of rows.entries()) addTimes(all, nth(formula.lines, row).perGram, grams);
  for (const { components, grams } of added) addTimes(all, compositionVector(components), grams);
  const there = boilOff(all, lostG);
  const mass = there.reduce((sum, grams) => sum + grams, 0);
  const left = mass > 0 ? Math.max(1 - pouredG / mass, 0.02) : 0;
  return there.map((grams) => grams * left);
}
