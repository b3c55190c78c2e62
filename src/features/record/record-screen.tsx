'use client';

import Link from 'next/link';
import { useEffect, useMemo, useState } from 'react';
import type { BatchAnswer } from '@/formats/batch';
import { foldBatch } from '@/formats/batch-state';
import { cookedBatch } from '@/kitchen/cook/cook-batch';
import { useBatchLog } from '@/kitchen/cook/use-batch-log';
import { keepingOf } from '@/kitchen/record/keeping-of';
import { storyOf } from '@/kitchen/record/story';
import { summarise } from '@/kitchen/record/summary';
import { bookBatch, testsOf } from '@/kitchen/record/tests-of';
import { batchNumber } from '@/ui/batch-number';
import { LogNotice } from '@/ui/log-notice';
import { PhotoEntry } from '@/ui/photo-entry';
import { Steps } from '@/ui/steps';
import { TopBar } from '@/ui/top-bar';
import { AfterEntry } from './after-entry';
import { BatchFigures } from './batch-figures';
import { BatchPicture } from './batch-picture';
import { PutAway } from './put-away';
import { StoryList } from './story-list';
import { headline } from './story-words';
import { Teaches } from './teaches';
import { TestEntry } from './test-entry';
import { TestsList } from './tests-list';
import { useKnowledge } from './use-knowledge';

const DAY = { weekday: 'long' } as const;
const DATE = { day: 'numeric', month: 'long', year: 'numeric' } as const;

/** A batch as the story of its day, with what came of it. */
export function RecordScreen({ opened }: { opened: BatchAnswer }) {
  const log = useBatchLog(opened);
  const { head, frozen } = opened;
  const cooked = useMemo(() => cookedBatch(frozen), [frozen]);
  const state = useMemo(
    () => foldBatch(cooked.method.followed.length, head.startedMs, log.events),
    [cooked, head.startedMs, log.events],
  );
  const story = useMemo(() => storyOf(cooked, state, log.events), [cooked, state, log.events]);
  const tests = useMemo(() => testsOf(head, frozen, log.events).tests, [head, frozen, log.events]);
  const batch = useMemo(() => bookBatch(cooked, state), [cooked, state]);
  const knowledge = useKnowledge(
    head.id,
    log.state.kind === 'kept' ? tests.map(({ key, isDoubted }) => `${key}${isDoubted}`).join() : undefined,
  );
  const summary = useMemo(() => summarise(head, frozen, log.events), [head, frozen, log.events]);
  // Tells when the page listens.
  const [ready, setReady] = useState(false);
  useEffect(() => setReady(true), []);
  const begun = new Date(head.startedMs);
  const isRunning = state.over === undefined;
  return (
    <div className="flex min-h-screen flex-col lg:h-screen" data-ready={ready}>
      <TopBar
        title={
          <span className="min-w-0 truncate px-2 text-[1.05rem]">
            {head.name} <span className="text-[#a9b6ba]">· batch {batchNumber(head.number)}</span>
          </span>
        }
        steps={<Steps at="record" id={head.formulaId} />}
      />
      <main className="grid flex-1 grid-cols-1 md:grid-cols-[minmax(0,1fr)_340px] lg:min-h-0 lg:grid-cols-[minmax(0,1fr)_380px]">
        <div className="thin-scroll px-6 py-5 lg:overflow-y-auto">
          <h1 className="font-head text-[1.7rem] leading-tight font-bold text-balance" suppressHydrationWarning>
            {headline(
              begun.toLocaleDateString('en-GB', DAY),
              state.hasLanded,
              state.over ?? 'running',
              summary.isRescued,
            )}
          </h1>
          <p className="text-mute" suppressHydrationWarning>
            {begun.toLocaleDateString('en-GB', DATE)}
            {summary.madeBy && ` · ${summary.madeBy}`}
          </p>
          <StoryList story={story} cooked={cooked} onPhotoOff={(hash) => log.tell({ kind: 'photoOff', hash })} />
        </div>
        <div className="thin-scroll border-rule bg-sheet px-5 py-5 max-md:border-t md:border-l lg:overflow-y-auto">
          <BatchPicture cooked={cooked} story={story} />
          <BatchFigures summary={summary} cooked={cooked} state={state} />
          {knowledge.data && <Teaches answer={knowledge.data} batchId={head.id} />}
          <TestsList tests={tests} tell={log.tell} />
          <PhotoEntry onPhoto={(photo, shows) => log.tell({ kind: 'photo', photo, shows })} />
          {isRunning ? (
            <p className="mt-4">
              <Link href={`/batches/${head.id}`} className="inline-flex min-h-11 items-center text-enamel underline">
                Back to the pan
              </Link>
            </p>
          ) : (
            <>
              <AfterEntry hasLanded={state.hasLanded} tell={log.tell} />
              <TestEntry
                batch={batch}
                knowledge={knowledge.data}
                onTest={(result) => log.tell({ kind: 'test', result })}
              />
              <PutAway
                batchId={head.id}
                name={head.name}
                madeMs={head.startedMs}
                keeping={keepingOf(cooked, state, frozen)}
                tell={log.tell}
              />
            </>
          )}
        </div>
      </main>
      <footer className="flex min-h-9 flex-wrap items-center gap-x-7 gap-y-1 border-rule border-t bg-foot px-4 py-1 text-[13px] print:hidden">
        <Link href="/book" className="inline-flex min-h-11 items-center text-enamel underline">
          The whole book
        </Link>
        <Link href={`/batches/${head.id}/label`} className="inline-flex min-h-11 items-center text-enamel underline">
          Labels
        </Link>
        <button type="button" className="min-h-11 text-enamel underline" onClick={() => window.print()}>
          Print
        </button>
        <a
          href={`/api/batches/${head.id}`}
          download={`batch-${batchNumber(head.number)}.json`}
          className="inline-flex min-h-11 items-center text-enamel underline"
        >
          As a file
        </a>
        <LogNotice log={log} />
      </footer>
    </div>
  );
}
