import { useEffect, useMemo, useRef, useState } from 'react';
import type { WeighBand } from '@/core/cook/weigh-band';
import type { Formula } from '@/core/formula/formula';
import type { BatchAnswer, Happening } from '@/formats/batch';
import { type BatchState, foldBatch } from '@/formats/batch-state';
import { type CookedBatch, cookedBatch, cookedNow } from '@/kitchen/cook/cook-batch';
import { gramsAsTheyAre, openRows, rowsAt, type StepRow } from '@/kitchen/cook/rows-open';
import { startsByItself } from '@/kitchen/cook/step-start';
import { useBatchLog } from '@/kitchen/cook/use-batch-log';
import { useDevices } from '@/kitchen/cook/use-devices';
import { tabletSetting } from '@/ui/tablet-setting';
import type { CookDoor } from '@/workers/cook.worker';
import { type Thread, threadOf } from '@/workers/thread';
import { useProbeLog } from './use-probe-log';

/** Whether this tablet stands beside a scale and a probe. */
const useWithDevices = tabletSetting<'on' | 'off'>(
  'devices',
  (text) => (text === 'on' || text === 'off' ? text : undefined),
  'off',
);

const cookThread = () =>
  threadOf<CookDoor>(() => new Worker(new URL('../../workers/cook.worker.ts', import.meta.url), { type: 'module' }));

/** The bands of some rows, the others as they are by now, worked out beside the screen. */
function useBands(thread: Thread<CookDoor>, formula: Formula, rows: readonly number[]) {
  const [bands, setBands] = useState<ReadonlyMap<number, WeighBand>>(new Map());
  const asked = rows.join(' ');
  useEffect(() => {
    let isHere = true;
    const wanted = asked === '' ? [] : asked.split(' ').map(Number);
    if (wanted.length === 0) return;
    thread
      .ask((door) => door.bands(formula, wanted))
      .then(
        (found) => isHere && setBands(new Map(found)),
        // Without its worker the rows are weighed without a band.
        () => undefined,
      );
    return () => {
      isHere = false;
    };
  }, [thread, formula, asked]);
  return bands;
}

/** The formula with what is in the pan as it was weighed, but for some rows: those are looked at against their plan. */
function useAsItIs(cooked: CookedBatch, state: BatchState, rows: readonly number[]) {
  const grams = gramsAsTheyAre(cooked, state)
    .map((each, row) => (rows.includes(row) ? (cooked.formula.lines[row]?.grams ?? 0) : each))
    .join(' ');
  return useMemo(() => {
    const now = grams.split(' ').map(Number);
    return {
      ...cooked.formula,
      lines: cooked.formula.lines.map((line, row) => ({ ...line, grams: now[row] ?? line.grams })),
    };
  }, [cooked, grams]);
}

/** What a cook tells of a batch, with what follows from it: clocks start when all is in, never when a page is opened. */
function tellingOf(cooked: CookedBatch, state: BatchState, tell: (what: Happening) => void) {
  const isOpen = (place: number, but?: StepRow) =>
    openRows(cooked, state, place).some((each) => !(each.step === but?.step && each.row === but?.row));
  const startIfReady = (place: number, but?: StepRow) => {
    const isStarted = state.steps[place]?.startedMs !== undefined;
    if (!isStarted && !isOpen(place, but) && startsByItself(cooked, place)) tell({ kind: 'start', step: place });
  };
  return {
    /** a row is in; of 0 g it is left out */
    putIn: (place: number, part: StepRow, grams: number, by: 'hand' | 'scale' = 'hand') => {
      tell({ kind: 'weigh', step: part.step, row: part.row, grams, by });
      if (place === state.now) startIfReady(place, part);
    },
    /** everything a step still waits for is in, as it was weighed beforehand */
    putAllIn: (place: number) => {
      const open = openRows(cooked, state, place);
      for (const { step, row, wantedG } of open) tell({ kind: 'weigh', step, row, grams: wantedG, by: 'hand' });
      const isStarted = state.steps[place]?.startedMs !== undefined;
      if (place === state.now && !isStarted && startsByItself(cooked, place)) tell({ kind: 'start', step: place });
    },
    /** a row is to go in with a later step */
    putOff: (place: number, { row }: StepRow) => tell({ kind: 'later', step: place, row }),
    /** goes on from a step nobody has to be asked about any more */
    leave: (place: number, kind: 'done' | 'aside') => {
      tell({ kind, step: place });
      const next = state.steps.findIndex(({ status }, i) => i !== place && status === 'todo');
      if (next >= 0 && rowsAt(cooked, state, next).length === 0 && startsByItself(cooked, next))
        tell({ kind: 'start', step: next });
    },
  };
}

/** A batch while it is cooked: what its log comes to, its method as it now is, and what can be told. */
export function useCook(opened: BatchAnswer) {
  const log = useBatchLog(opened);
  const planned = useMemo(() => cookedBatch(opened.frozen), [opened.frozen]);
  const { startedMs } = opened.head;
  const steps = planned.method.followed.length;
  const state = useMemo(() => foldBatch(steps, startedMs, log.events), [steps, startedMs, log.events]);
  const replanned = JSON.stringify([...state.replanned]);
  const cooked = useMemo(
    () => (replanned === '[]' ? planned : cookedNow(opened.frozen, new Map(JSON.parse(replanned)))),
    [planned, opened.frozen, replanned],
  );
  const now = state.now === undefined ? undefined : cooked.method.followed[state.now];
  const isWeighing = !state.isWeighedOut && state.now === 0 && state.weighed.size === 0;
  const rows = isWeighing
    ? cooked.formula.lines.flatMap(({ grams }, row) => (grams > 0 ? [row] : []))
    : (now?.step.adds.map(({ row }) => row) ?? []);
  const thread = useRef<Thread<CookDoor>>(undefined);
  thread.current ??= cookThread();
  useEffect(() => () => thread.current?.close(), []);
  const bands = useBands(thread.current, useAsItIs(cooked, state, rows), rows);
  /** the place of a step that is to be left while something of it is open */
  const [asksToLeave, setAsksToLeave] = useState<{ place: number; as: 'done' | 'aside' } | undefined>();
  const telling = tellingOf(cooked, state, log.tell);
  const [isWithDevices, setWithDevices] = useWithDevices();
  const devices = useDevices(opened.head.id, isWithDevices === 'on');
  useProbeLog({ log, state }, devices.reading?.probe);
  return {
    ...{ id: opened.head.id, log, state, cooked, bands, thread: thread.current },
    ...telling,
    /** nothing is heated yet: all is weighed first */
    isWeighing,
    asksToLeave,
    stay: () => setAsksToLeave(undefined),
    /** leaves a step; asks first where a row of it is neither in nor left out nor put off */
    leaveStep: (place: number, as: 'done' | 'aside' = 'done') => {
      if (openRows(cooked, state, place).length > 0) setAsksToLeave({ place, as });
      else telling.leave(place, as);
    },
    ...{ devices, isWithDevices: isWithDevices === 'on' },
    takeDevices: (isUsed: boolean) => setWithDevices(isUsed ? 'on' : 'off'),
  };
}

export type Cook = ReturnType<typeof useCook>;
