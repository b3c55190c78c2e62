import { useEffect, useMemo, useRef, useState } from 'react';
import type { WeighBand } from '@/core/cook/weigh-band';
import type { BatchAnswer } from '@/formats/batch';
import { type BatchState, foldBatch, weighedKey } from '@/formats/batch-state';
import { cookedBatch, cookedNow } from '@/kitchen/cook/cook-batch';
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

/** The bands of a step's rows, worked out beside the screen. */
function useBands(thread: Thread<CookDoor>, cooked: ReturnType<typeof cookedBatch>, rows: readonly number[]) {
  const [bands, setBands] = useState<ReadonlyMap<number, WeighBand>>(new Map());
  const asked = rows.join(' ');
  useEffect(() => {
    let isHere = true;
    const wanted = asked === '' ? [] : asked.split(' ').map(Number);
    if (wanted.length === 0) return;
    thread
      .ask((door) => door.bands(cooked.formula, wanted))
      .then(
        (found) => isHere && setBands((known) => new Map([...known, ...found])),
        // Without its worker the rows are weighed without a band.
        () => undefined,
      );
    return () => {
      isHere = false;
    };
  }, [thread, cooked, asked]);
  return bands;
}

/** g of a row that are in, of all steps together. */
export function gramsIn(state: BatchState, steps: number, row: number): number {
  return Array.from({ length: steps }, (_, step) => state.weighed.get(weighedKey(step, row)) ?? 0).reduce(
    (sum, grams) => sum + grams,
    0,
  );
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
  const rows = now?.step.adds.map(({ row }) => row) ?? [];
  const thread = useRef<Thread<CookDoor>>(undefined);
  thread.current ??= cookThread();
  useEffect(() => () => thread.current?.close(), []);
  const bands = useBands(thread.current, cooked, rows);
  const [isWithDevices, setWithDevices] = useWithDevices();
  const devices = useDevices(opened.head.id, isWithDevices === 'on');
  useProbeLog({ log, state }, devices.reading?.probe);
  return {
    ...{ id: opened.head.id, log, state, cooked, bands, thread: thread.current },
    ...{ devices, isWithDevices: isWithDevices === 'on' },
    takeDevices: (isUsed: boolean) => setWithDevices(isUsed ? 'on' : 'off'),
  };
}

export type Cook = ReturnType<typeof useCook>;
