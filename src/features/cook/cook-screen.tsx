'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { BatchAnswer } from '@/formats/batch';
import { gramsAsTheyAre } from '@/kitchen/cook/rows-open';
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
import { LookNow } from './look-now';
import { Looks } from './looks';
import { NotInYet } from './not-in-yet';
import { type Cook, useCook } from './use-cook';
import { WeighFirst } from './weigh-first';

/** Space and the arrow keys go on and back, unless something is typed or pressed. */
function useCookKeys(cook: Cook) {
  const { state, log, leaveStep, isWeighing } = cook;
  const { now, over } = state;
  const latest = useRef(leaveStep);
  latest.current = leaveStep;
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const isBusy =
        event.target instanceof Element && event.target.closest('input, textarea, select, button, a, [role=dialog]');
      if (isBusy || event.ctrlKey || event.metaKey || event.altKey || over || isWeighing) return;
      if ((event.key === ' ' || event.key === 'ArrowRight') && now !== undefined) {
        event.preventDefault();
        latest.current(now);
      }
      if (event.key === 'ArrowLeft') {
        const before = (now ?? state.steps.length) - 1;
        if (before >= 0) log.tell({ kind: 'begin', step: before });
      }
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  }, [now, over, log, isWeighing, state.steps.length]);
}

/** Whose figures the batch was frozen with. */
const reckonedAs = ({ frozen: { file } }: BatchAnswer) =>
  file.process.warmOffset !== 0 || file.process.coldOffset !== 0
    ? 'Reckoned as this kitchen pours.'
    : 'Reckoned by the book.';

/** What stands beside the step: in sight where there is room, else behind a press. */
function Beside(props: Parameters<typeof CookSide>[0]) {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <button
        type="button"
        aria-expanded={isOpen}
        className="min-h-14 w-full px-5 text-left font-semibold text-enamel underline lg:hidden"
        onClick={() => setOpen(!isOpen)}
      >
        {isOpen ? 'Close timers, tests and scale' : 'Timers, tests and scale'}
      </button>
      <div className={isOpen ? '' : 'max-lg:hidden'}>
        <CookSide {...props} />
      </div>
    </>
  );
}

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
  const addedG = state.added.reduce((sum, { grams }) => sum + grams, 0);
  const weighsInG = gramsAsTheyAre(cooked, state).reduce((sum, grams) => sum + grams, 0) + addedG;
  const ring = useCallback(() => alarm.ring(), [alarm.ring]);

  return (
    <div className="flex min-h-screen flex-col lg:h-screen" data-ready={ready}>
      <TopBar
        title={
          <span className="min-w-0 truncate px-2 text-[1.05rem]">
            {name}{' '}
            <span className="text-[#a9b6ba]">
              · batch {batchNumber(number)} · weighs in {weight(Math.round(weighsInG))}
            </span>
          </span>
        }
        steps={<Steps at="cook" id={formulaId} />}
      />
      <AlarmQuestion alarm={alarm} />
      <main className="grid flex-1 grid-cols-1 lg:min-h-0 lg:grid-cols-[minmax(0,1fr)_440px]">
        <div className="thin-scroll relative flex flex-col lg:overflow-y-auto">
          <CookSteps cook={cook} />
          {cook.isWeighing ? (
            <WeighFirst cook={cook} />
          ) : state.over || state.now === undefined ? (
            <BatchOver cook={cook} />
          ) : (
            <CookStep cook={cook} place={state.now} onEnd={ring} />
          )}
          <NotInYet cook={cook} />
        </div>
        <div className="thin-scroll relative border-rule bg-sheet pb-4 max-lg:border-t lg:overflow-y-auto lg:border-l">
          {state.now !== undefined && !state.over && !cook.isWeighing && (
            <>
              <LookNow cook={cook} place={state.now} />
              <Looks cook={cook} place={state.now} />
            </>
          )}
          <Beside cook={cook} id={opened.head.id} onEnd={ring} />
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
