'use client';

import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import Link from 'next/link';
import { useEffect, useState } from 'react';
import type { KitchenTimer } from '@/formats/timers';
import { tellBatch } from '@/kitchen/client/batches';
import { keepUntold, toldNow } from '@/kitchen/cook/untold';
import { Button } from '../button';
import { clockText } from '../clock-text';
import { tabletSetting } from '../tablet-setting';
import { useAlarm } from '../use-alarm';
import { useSecond } from '../use-second';
import { useKitchenTimers } from './use-kitchen-timers';

/** Whether this tablet shows timers that are due, whatever page is open. */
export const useShowsTimers = tabletSetting<'on' | 'off'>(
  'shows-timers',
  (text) => (text === 'on' || text === 'off' ? text : undefined),
  'on',
);

/** A timer that has been due for longer is shown on its batch alone, ms. */
const SHOWN_FOR_MS = 15 * 60_000;
/** It sounds again so often until it is answered, ms. */
const RINGS_EVERY_MS = 4_000;

/** A timer that is due, from edge to edge of the screen, on every page, until somebody answers it. */
export function DueTimer() {
  const [shows] = useShowsTimers();
  return shows === 'on' ? <Watch /> : null;
}

function Watch() {
  const { timers, now } = useKitchenTimers();
  return timers.length > 0 ? <Ticking timers={timers} now={now} /> : null;
}

function Ticking({ timers, now }: ReturnType<typeof useKitchenTimers>) {
  useSecond();
  const [answered, setAnswered] = useState<ReadonlySet<string>>(new Set());
  const nowMs = now();
  const due = timers.find(({ key, dueMs }) => dueMs <= nowMs && nowMs - dueMs < SHOWN_FOR_MS && !answered.has(key));
  if (!due) return null;
  return (
    <Due
      key={due.key}
      timer={due}
      overS={(nowMs - due.dueMs) / 1000}
      onAnswer={() => setAnswered(new Set(answered).add(due.key))}
    />
  );
}

/** Stops a cook's own timer on every tablet; what the server does not hear is told later by the batch's own page. */
function stopForAll({ batchId, ownId }: KitchenTimer): void {
  if (ownId === null) return;
  const told = toldNow({ kind: 'timerOff', id: ownId });
  keepUntold(batchId, [told]);
  tellBatch(batchId, 0, [told]).then(
    () => keepUntold(batchId, [], new Set([told.key])),
    () => undefined,
  );
}

function Due({ timer, overS, onAnswer }: { timer: KitchenTimer; overS: number; onAnswer: () => void }) {
  const { ring } = useAlarm();
  useEffect(() => {
    ring();
    const again = setInterval(ring, RINGS_EVERY_MS);
    return () => clearInterval(again);
  }, [ring]);
  const answer = () => {
    stopForAll(timer);
    onAnswer();
  };
  return (
    <Dialog open onClose={answer} className="relative z-50">
      <div className="fixed inset-0 flex bg-enamel text-sheet">
        <DialogPanel className="flex flex-1 flex-col items-center justify-center gap-6 p-6 text-center">
          <p className="text-[28px]">{timer.name}</p>
          <DialogTitle className="text-[clamp(44px,9vw,110px)] leading-[1.05]">{timer.label}</DialogTitle>
          <p className="read text-[clamp(64px,14vw,170px)] leading-none" role="timer">
            +{clockText(overS)}
          </p>
          <div className="flex flex-wrap justify-center gap-4">
            <Button className="min-h-20 min-w-64 text-[26px] text-ink" onClick={answer} autoFocus>
              Seen, stop it
            </Button>
            <Link
              href={`/batches/${timer.batchId}`}
              onClick={answer}
              className="inline-flex min-h-20 items-center rounded-lg border-2 border-sheet px-8 text-[22px]"
            >
              Open the batch
            </Link>
          </div>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
