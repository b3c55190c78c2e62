import { inAnyKitchen } from '@/core/learn/kitchen';
import { readTest, type TestReading } from '@/core/learn/kitchen-tests';
import type { ComponentVector } from '@/core/matter/components';
import type { Process } from '@/core/matter/process';
import { mainChocolate } from '@/core/method/main-chocolate';
import { nth } from '@/core/nth';
import { massG } from '@/core/pan/pan';
import { type Batch, prepareBatch } from '@/core/predict/state';
import type { BatchEvent, BatchHead, FrozenBatch } from '@/formats/batch';
import { type BatchState, foldBatch } from '@/formats/batch-state';
import type { FileTest } from '@/formats/kitchen-test';
import { type OpenedPan, openedPan } from '../cook/cook-batch';
import { componentsNow, panNow } from '../cook/pan-now';
import { tongueAgainst } from '../words/test-words';

/** A test of a batch, held against the book. */
export interface BatchTest {
  /** of its event */
  readonly key: string;
  readonly ms: number;
  readonly result: FileTest;
  /** set aside by a cook */
  readonly isDoubted: boolean;
  /** nothing where the book has no figure for it */
  readonly reading: TestReading | undefined;
  /** what the tongue said beside the book, in words */
  readonly tongue: string | undefined;
}

/** What really went into a batch, and how it was made, without any offset of the kitchen; nothing while nothing is in it. */
export function panByTheBook(
  opened: OpenedPan,
  state: BatchState,
): { readonly components: ComponentVector; readonly process: Process } | undefined {
  const pan = panNow(opened, state, 'asPlanned');
  const weighed = componentsNow(opened, { ...pan, pouredG: 0 });
  const end = opened.method?.followed.at(-1)?.end;
  const components = weighed.some((grams) => grams > 0) ? weighed : end && massG(end) > 0 ? end.liquid : undefined;
  if (!components) return undefined;
  const made = end ? { mix: end.mix, cook: end.cook } : {};
  return { components, process: inAnyKitchen({ ...opened.formula.process, ...made }) };
}

/** A batch as the book reckons it. */
export function bookBatch(opened: OpenedPan, state: BatchState): Batch | undefined {
  const pan = panByTheBook(opened, state);
  return pan && prepareBatch(pan.components, pan.process);
}

/** All tests of a batch. */
export function testsOf(
  head: Pick<BatchHead, 'startedMs'>,
  frozen: FrozenBatch,
  events: readonly BatchEvent[],
): { readonly tests: readonly BatchTest[]; readonly chocolate: string | undefined } {
  const opened = openedPan(frozen);
  const state = foldBatch(opened.method?.followed.length ?? 0, head.startedMs, events);
  const place = mainChocolate(opened.formula.lines);
  const chocolate = place === undefined ? undefined : nth(frozen.file.lines, place).ingredient;
  if (state.tests.length === 0) return { tests: [], chocolate };
  const batch = bookBatch(opened, state);
  const tests = state.tests.map(({ key, ms, result, isDoubted }): BatchTest => {
    const [reading, tongue] = batch ? [readTest(batch, result), tongueAgainst(batch, result)] : [];
    return { key, ms, result, isDoubted, reading, tongue };
  });
  return { tests, chocolate };
}
