import { massG } from '@/core/pan/pan';
import type { BatchAnswer } from '@/formats/batch';
import { type BatchState, foldBatch } from '@/formats/batch-state';
import { type CookedBatch, cookedBatch } from '../cook/cook-batch';
import { panThickness } from '../cook/pan-thickness';
import { type BatchSummary, summarise } from './summary';

/** A point of a batch's warmth, min since it was begun. */
export interface WarmthPoint {
  readonly minutes: number;
  readonly temperatureC: number;
}

/** A batch laid beside others. */
export interface Compared {
  readonly head: BatchAnswer['head'];
  readonly cooked: CookedBatch;
  readonly state: BatchState;
  readonly summary: BatchSummary;
  /** min from its beginning to its end */
  readonly minutes: number;
  readonly plannedG: number;
  /** g that should have come into the bowl */
  readonly reckonedG: number;
  /** ln of how much thicker it poured than reckoned, by its rings */
  readonly thickness: number | undefined;
  /** as the method reckons, step after step, and as it was read */
  readonly reckoned: readonly WarmthPoint[];
  readonly read: readonly WarmthPoint[];
}

/** Works a batch out so that it can be laid beside others. */
export function compared({ head, frozen, events }: Pick<BatchAnswer, 'head' | 'frozen' | 'events'>): Compared {
  const cooked = cookedBatch(frozen);
  const { followed } = cooked.method;
  const state = foldBatch(followed.length, head.startedMs, events);
  const summary = summarise(head, frozen, events);
  const end = followed.at(-1)?.end;
  const minutesOf = (ms: number) => (ms - head.startedMs) / 60_000;
  let passed = 0;
  const reckoned = followed.flatMap(({ curve, start, seconds, step }) => {
    if (step.where === 'aside') return [];
    const points = curve.map(([s, t]) => ({ minutes: (passed + s - start.seconds) / 60, temperatureC: t }));
    passed += seconds;
    return points;
  });
  return {
    head,
    cooked,
    state,
    summary,
    minutes: minutesOf(summary.overMs),
    plannedG: cooked.formula.lines.reduce((sum, { grams }) => sum + grams, 0),
    reckonedG: end ? massG(end) : 0,
    thickness: panThickness(cooked, state)?.mean,
    reckoned,
    read: state.temperatures.map(({ ms, temperatureC }) => ({ minutes: minutesOf(ms), temperatureC })),
  };
}
