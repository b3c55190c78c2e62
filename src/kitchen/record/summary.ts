import { costOfLines } from '@/core/formula/formula';
import type { BatchEvent, BatchHead, FrozenBatch } from '@/formats/batch';
import { foldBatch } from '@/formats/batch-state';
import { foldWords } from '@/formats/fold-words';
import { openedPan } from '../cook/cook-batch';
import { massIn, panNow } from '../cook/pan-now';

/** What the log of a batch that is over comes to, as its line in the book shows it. */
export interface BatchSummary {
  readonly summarisedSeq: number;
  /** ms since 1970 */
  readonly overMs: number;
  readonly madeBy: string | null;
  readonly hasLanded: boolean | null;
  /** something went in that was not planned */
  readonly isRescued: boolean;
  readonly weighedG: number;
  /** g that came into the bowl; nothing where nobody weighed it */
  readonly yieldG: number | null;
  /** as weighed, in the money of the kitchen */
  readonly cost: number;
  /** all its words, folded, to be searched */
  readonly words: string;
}

/**
 * Sums a batch up.
 *
 * @param events its whole log
 */
export function summarise(
  head: Pick<BatchHead, 'name' | 'number' | 'startedMs'>,
  frozen: FrozenBatch,
  events: readonly BatchEvent[],
): BatchSummary {
  const opened = openedPan(frozen);
  const state = foldBatch(opened.method?.followed.length ?? 0, head.startedMs, events);
  const pan = panNow(opened, state, 'asPlanned');
  const asWeighed = opened.formula.lines.map((line, row) => ({ ...line, grams: pan.rows[row] ?? 0 }));
  const names = [...new Set(events.flatMap(({ by }) => (by ? [by] : [])))];
  const said = [
    ...state.notes.map(({ text }) => text),
    ...state.used.map(({ what }) => what),
    ...state.added.map(({ name }) => name),
  ];
  return {
    summarisedSeq: state.seq,
    overMs: state.overMs ?? head.startedMs,
    madeBy: names.join(', ') || null,
    hasLanded: state.hasLanded ?? null,
    isRescued: state.added.length > 0 || state.fixes.length > 0,
    weighedG: massIn(pan),
    yieldG: state.poured.length > 0 ? state.poured.reduce((sum, { grams }) => sum + grams, 0) : null,
    cost: costOfLines(asWeighed) / 1000,
    words: foldWords([head.name, String(head.number).padStart(4, '0'), ...names, ...said].join(' ')),
  };
}
