'use client';

import { useCallback, useEffect, useState } from 'react';
import type { BatchAnswer } from '@/formats/batch';
import { batchNumber } from '@/ui/batch-number';
import { Key } from '@/ui/button';
import { weight } from '@/ui/format';
import { LogNotice } from '@/ui/log-notice';
import { Steps } from '@/ui/steps';
import { TopBar } from '@/ui/top-bar';
import { useAlarm } from '@/ui/use-alarm';
import { useWakeLock } from '@/ui/use-wake-lock';
import { AlarmQuestion } from './alarm-question';
import { BatchOver } from './batch-over';
import { CookSide } from './cook-side';
import { CookStep } from './cook-step';
import { CookSteps } from './cook-steps';
import { type Cook, useCook } from './use-cook';

/** Space and the arrow keys go on and back, unless something is typed or pressed. */
function useCookKeys({ state, log }: Cook) {
  const { now, over } = state;
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const isBusy =
        event.target instanceof Element && event.target.closest('input, textarea, select, button, a, [role=dialog]');
      if (isBusy || event.ctrlKey || event.metaKey || event.altKey || over) return;
      if ((event.key === ' ' || event.key === 'ArrowRight') && now !== undefined) {
        event.preventDefault();
        log.tell({ kind: 'done', step: now });
      }
      if (event.key === 'ArrowLeft') {
        const before = (now ?? state.steps.length) - 1;
        if (before >= 0) log.tell({ kind: 'begin', step: before });
      }
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  }, [now, over, log, state.steps.length]);
}

/** Whose figures the batch was frozen with. */
const reckonedAs = ({ frozen: { file } }: BatchAnswer) =>
  file.process.warmOffset !== 0 || file.process.coldOffset !== 0
    ? 'Reckoned as this kitchen pours.'
    : 'Reckoned by the book.';

/** Beside the pan: one step of a batch at a time, big; everything that happens is kept as it happens. */
export function CookScreen({ opened }: { opened: BatchAnswer }) {
  const cook = useCook(opened);
  const { state, cooked, log } = cook;
  const alarm = useAlarm();
  useWakeLock();
  useCookKeys(cook);
  // Tells when the page listens.
  const [ready, setReady] = useState(false);
  useEffect(() => setReady(true), []);
  const { number, name, formulaId } = opened.head;
  const all = cooked.formula.lines.reduce((sum, { grams }) => sum + grams, 0);
  const ring = useCallback(() => alarm.ring(), [alarm.ring]);

  return (
    <div className="flex min-h-screen flex-col lg:h-screen" data-ready={ready}>
      <TopBar
        title={
          <span className="min-w-0 truncate px-2 text-[1.05rem]">
            {name}{' '}
            <span className="text-[#a9b6ba]">
              · batch {batchNumber(number)} · {weight(Math.round(all))}
            </span>
          </span>
        }
        steps={<Steps at="cook" id={formulaId} />}
      />
      <AlarmQuestion alarm={alarm} />
      <main className="grid flex-1 grid-cols-1 md:grid-cols-[230px_minmax(0,1fr)] lg:min-h-0 lg:grid-cols-[250px_minmax(0,1fr)_320px]">
        <div className="thin-scroll border-rule border-r bg-sheet max-md:order-3 md:max-lg:row-span-2 lg:overflow-y-auto">
          <CookSteps cook={cook} />
        </div>
        <div className="thin-scroll flex flex-col lg:overflow-y-auto">
          {state.over || state.now === undefined ? (
            <BatchOver cook={cook} />
          ) : (
            <CookStep cook={cook} place={state.now} onEnd={ring} />
          )}
        </div>
        <div className="thin-scroll border-rule bg-sheet max-lg:border-t lg:overflow-y-auto lg:border-l">
          <CookSide cook={cook} id={opened.head.id} onEnd={ring} />
        </div>
      </main>
      <footer className="flex min-h-9 flex-wrap items-center gap-x-7 gap-y-1 border-rule border-t bg-foot px-4 py-1 text-[13px]">
        <span>
          <Key>Space</Key> goes on, <Key>←</Key> goes back.
        </span>
        <span>{reckonedAs(opened)}</span>
        {alarm.choice === 'on' && (
          <button type="button" className="min-h-11 text-enamel underline" onClick={alarm.test}>
            Test the sound
          </button>
        )}
        <button
          type="button"
          aria-pressed={cook.isWithDevices}
          className="min-h-11 text-enamel underline"
          onClick={() => cook.takeDevices(!cook.isWithDevices)}
        >
          {cook.isWithDevices ? 'Put scale and probe away' : 'Practise with scale and probe'}
        </button>
        <LogNotice log={log} />
      </footer>
    </div>
  );
}
