import type { FaultCause } from '@/core/rescue/diagnosis';
import type { Sign } from '@/core/rescue/signs';
import type { BatchEvent, CheckKind } from '@/formats/batch';
import { type BatchState, inTime, weighedKey } from '@/formats/batch-state';
import type { FileTest } from '@/formats/kitchen-test';
import type { KeptPhoto } from '@/formats/photo';
import type { CookedBatch } from '../cook/cook-batch';

/** Something that happened, as the page of a batch tells it: numbers and names, no words. */
export type StoryItem = { readonly ms: number } & (
  | {
      readonly kind: 'weighed';
      readonly grams: number;
      /** what went in of every row against what was planned; nothing where nobody entered it */
      readonly rows: readonly {
        readonly row: number;
        readonly plannedG: number;
        readonly weighedG: number | undefined;
      }[];
    }
  | {
      readonly kind: 'step';
      readonly step: number;
      readonly seconds: number;
      readonly reckonedSeconds: number;
      readonly reckonedC: number;
      readonly readC: number | undefined;
    }
  | { readonly kind: 'check'; readonly check: CheckKind; readonly isGood: boolean; readonly sign: Sign | undefined }
  | { readonly kind: 'added'; readonly name: string; readonly grams: number }
  | {
      readonly kind: 'fix';
      readonly sign: Sign;
      readonly cause: FaultCause | undefined;
      readonly hasWorked: boolean;
    }
  | { readonly kind: 'test'; readonly result: FileTest; readonly isDoubted: boolean }
  | { readonly kind: 'lost'; readonly grams: number }
  | { readonly kind: 'poured'; readonly grams: number }
  /** how warm it was by hand, where no step tells it; the last before it was over is the pour */
  | { readonly kind: 'read'; readonly temperatureC: number; readonly isPour: boolean }
  | { readonly kind: 'used'; readonly what: string; readonly grams: number }
  | { readonly kind: 'leftover'; readonly fate: 'putAway' | 'reheated' | 'thrown'; readonly grams: number }
  | { readonly kind: 'note'; readonly text: string }
  | { readonly kind: 'photo'; readonly photo: KeptPhoto; readonly shows: string }
  | { readonly kind: 'finishedAgain'; readonly grams: number }
  /** work that was done before the end and told after it */
  | { readonly kind: 'toldLate'; readonly added: readonly string[] }
  | { readonly kind: 'unclear'; readonly reason: string }
  | { readonly kind: 'over'; readonly how: 'finished' | 'abandoned' }
);

/** All that was weighed, row by row, told once, when the last of it was in. */
function weighing({ method, formula }: CookedBatch, state: BatchState, events: readonly BatchEvent[]): StoryItem[] {
  const last = inTime(events).findLast(({ what: { kind } }) => kind === 'weigh');
  if (!last) return [];
  const parts = method.followed.flatMap(({ step }, place) =>
    step.adds.map(({ row }) => ({ row, grams: state.weighed.get(weighedKey(place, row)) })),
  );
  const rows = formula.lines.flatMap(({ grams: plannedG }, row) => {
    const own = parts.filter((part) => part.row === row);
    if (own.length === 0) return [];
    const said = own.flatMap(({ grams }) => (grams === undefined ? [] : [grams]));
    const weighedG = said.length > 0 ? said.reduce((sum, grams) => sum + grams, 0) : undefined;
    return [{ row, plannedG, weighedG }];
  });
  const grams = rows.reduce((sum, { weighedG }) => sum + (weighedG ?? 0), 0);
  return [{ kind: 'weighed', ms: last.serverMs, grams, rows }];
}

/** Each step that was done: how long it took, and how warm it was at its end where somebody read it. */
function steps({ method }: CookedBatch, state: BatchState): StoryItem[] {
  return state.steps.flatMap(({ begunMs, doneMs }, step): StoryItem[] => {
    const followed = method.followed[step];
    // Written down afterwards, a step has no time of its own.
    if (!followed || begunMs === undefined || doneMs === undefined || doneMs - begunMs < 1000) return [];
    const read = state.temperatures.findLast(({ ms }) => ms >= begunMs && ms <= doneMs);
    return [
      {
        kind: 'step',
        ms: doneMs,
        step,
        seconds: (doneMs - begunMs) / 1000,
        reckonedSeconds: followed.seconds,
        reckonedC: followed.end.temperatureC,
        readC: read?.temperatureC,
      },
    ];
  });
}

/** Temperatures read by hand that no step tells: of a batch written down afterwards, or once its steps were done. */
function readings(state: BatchState): StoryItem[] {
  const isOfStep = (ms: number) =>
    state.steps.some(
      ({ begunMs, doneMs }) => begunMs !== undefined && doneMs !== undefined && ms >= begunMs && ms <= doneMs,
    );
  const isPast = state.steps.every(({ begunMs, doneMs }) => (doneMs ?? 0) - (begunMs ?? 0) < 1000);
  const own = state.temperatures.filter(({ ms, by }) => by === 'hand' && (isPast || !isOfStep(ms)));
  const isDone = state.steps.every(({ status }) => status === 'done');
  return own.map(({ ms, temperatureC }, i) => ({
    kind: 'read',
    ms,
    temperatureC,
    isPour: isDone && i === own.length - 1,
  }));
}

/** What was told late, once each time it was. */
function toldLate(state: BatchState): StoryItem[] {
  const times = [...new Set(state.toldLate.map(({ heardMs }) => heardMs))];
  return times.map((ms) => ({
    kind: 'toldLate',
    ms,
    added: state.toldLate.flatMap(({ heardMs, what }) => (heardMs === ms && what.kind === 'add' ? [what.name] : [])),
  }));
}

/** The story of a batch, in the order it happened. */
export function storyOf(cooked: CookedBatch, state: BatchState, events: readonly BatchEvent[]): readonly StoryItem[] {
  const items: StoryItem[] = [
    ...weighing(cooked, state, events),
    ...steps(cooked, state),
    ...readings(state),
    ...state.checks.map(({ ms, check, isGood, sign }): StoryItem => ({ kind: 'check', ms, check, isGood, sign })),
    ...state.added.map(({ ms, name, grams }): StoryItem => ({ kind: 'added', ms, name, grams })),
    ...state.fixes.map(({ ms, sign, cause, hasWorked }): StoryItem => ({ kind: 'fix', ms, sign, cause, hasWorked })),
    ...state.tests.map(({ ms, result, isDoubted }): StoryItem => ({ kind: 'test', ms, result, isDoubted })),
    ...state.lost.map(({ ms, grams }): StoryItem => ({ kind: 'lost', ms, grams })),
    ...state.poured.map(({ ms, grams }): StoryItem => ({ kind: 'poured', ms, grams })),
    ...state.used.map(({ ms, what, grams }): StoryItem => ({ kind: 'used', ms, what, grams })),
    ...state.leftovers.map(({ ms, fate, grams }): StoryItem => ({ kind: 'leftover', ms, fate, grams })),
    ...state.notes.map(({ ms, text }): StoryItem => ({ kind: 'note', ms, text })),
    ...state.finishedAgain.map(({ ms, grams }): StoryItem => ({ kind: 'finishedAgain', ms, grams })),
    ...state.photos.map(({ ms, photo, shows }): StoryItem => ({ kind: 'photo', ms, photo, shows })),
    ...toldLate(state),
    ...state.unclear.map(({ ms, reason }): StoryItem => ({ kind: 'unclear', ms, reason })),
    ...(state.over && state.overMs !== undefined ? [{ kind: 'over', ms: state.overMs, how: state.over } as const] : []),
  ];
  return items.sort((a, b) => a.ms - b.ms);
}
