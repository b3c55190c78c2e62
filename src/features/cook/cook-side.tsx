import Link from 'next/link';
import { COOLING_RULES, dangerClock, type WarmthAt } from '@/kitchen/cook/danger-clock';
import { endsByTheClock } from '@/kitchen/cook/timers-of';
import { CAUTION_WORDS } from '@/kitchen/words/cautions';
import { wordsOfStep } from '@/kitchen/words/fitting-words';
import { Button } from '@/ui/button';
import { ByWhom } from '@/ui/by-whom';
import { duration } from '@/ui/duration';
import { celsius } from '@/ui/format';
import { PhotoEntry } from '@/ui/photo-entry';
import { PanWeights } from './pan-weights';
import { PracticePanel } from './practice-panel';
import { RingTest } from './ring-test';
import { RunningBatches } from './running-batches';
import { StepClock } from './step-clock';
import { Timers } from './timers';
import type { Cook } from './use-cook';

/** The batch's temperatures so far: what was read, and what the pan reckons at the end of each step that is done. */
function warmthsOf({ state, cooked, log }: Cook): WarmthAt[] {
  const reckoned = state.steps.flatMap(({ doneMs }, i): WarmthAt[] => {
    const end = cooked.method.followed[i]?.end;
    return doneMs !== undefined && end ? [{ ms: doneMs, temperatureC: end.temperatureC }] : [];
  });
  const read = state.temperatures.map(({ ms, temperatureC }) => ({ ms, temperatureC }));
  const all = [...reckoned, ...read].sort((a, b) => a.ms - b.ms);
  const last = all.at(-1);
  // A batch that is over stands still.
  const untilMs = state.overMs ?? log.now();
  return last ? [...all, { ms: Math.max(untilMs, last.ms), temperatureC: last.temperatureC }] : [];
}

/** How long the batch has been where things grow, in both common rules. */
function CoolingClock({ cook }: { cook: Cook }) {
  const { growsH, toFirstStopH, isCooling } = dangerClock(warmthsOf(cook));
  if (growsH < 1 / 120) return null;
  const isLate = growsH >= COOLING_RULES.useH;
  return (
    <div
      className={`mt-4 rounded-lg px-3 py-2 ${isLate ? 'bg-off-wash text-off' : 'bg-near-wash'}`}
      suppressHydrationWarning
    >
      <p className="font-semibold">
        {duration(3600 * growsH)} between {celsius(5)} and {celsius(60)} so far
      </p>
      <p className="text-[14px]">
        Added up: use or chill it within {COOLING_RULES.useH} h, throw it away after {COOLING_RULES.awayH} h. In two
        stages: {celsius(21)} within {COOLING_RULES.firstH} h
        {toFirstStopH !== undefined
          ? ` (it took ${duration(3600 * toFirstStopH)})`
          : isCooling
            ? ' (not there yet)'
            : ''}
        , {celsius(5)} within {COOLING_RULES.allH} h. {CAUTION_WORDS.code}
      </p>
    </div>
  );
}

/** Beside the step: what comes next, what runs aside, other batches, timers, cautions of the clock. */
export function CookSide({ cook, id, onEnd }: { cook: Cook; id: string; onEnd: () => void }) {
  const { state, cooked, log } = cook;
  const nextPlace = state.steps.findIndex(({ status }) => status === 'todo');
  const next = cooked.method.followed[nextPlace];
  const aside = state.steps.flatMap(({ status }, i) => (status === 'aside' ? [i] : []));
  return (
    <section aria-label="Beside the step" className="px-4 py-4">
      <h2 className="text-[1.15rem]">Next</h2>
      {next ? (
        <p>
          <strong>{wordsOfStep(next).name}</strong>
          {next.additions.length > 0 && `: ${next.additions.map(({ key }) => cooked.names[Number(key)]).join(', ')}`}
        </p>
      ) : (
        <p className="text-mute">This is the last step.</p>
      )}
      {aside.length > 0 && (
        <>
          <h2 className="mt-4 text-[1.15rem]">Running aside</h2>
          <ul>
            {aside.map((place) => {
              const followed = cooked.method.followed[place];
              const startedMs = state.steps[place]?.startedMs;
              if (!followed) return null;
              return (
                <li key={place} className="flex items-center gap-3 border-rule border-t py-1.5">
                  <span className="min-w-0 flex-1 leading-tight">{wordsOfStep(followed).name}</span>
                  <StepClock
                    seconds={followed.seconds}
                    begunMs={startedMs}
                    now={log.now}
                    onEnd={endsByTheClock(followed) ? undefined : onEnd}
                    className="text-[1.2rem]"
                  />
                  <Button onClick={() => cook.leaveStep(place)}>Done</Button>
                </li>
              );
            })}
          </ul>
        </>
      )}
      {cook.isWithDevices && <PracticePanel devices={cook.devices} />}
      <Timers cook={cook} />
      <RingTest cook={cook} />
      <PanWeights cook={cook} />
      <PhotoEntry onPhoto={(photo, shows) => log.tell({ kind: 'photo', photo, shows })} />
      <CoolingClock cook={cook} />
      <RunningBatches id={id} />
      <div className="mt-4">
        <ByWhom />
      </div>
      <p className="mt-4 text-[13px]">
        <Link href="/batches" className="inline-flex min-h-11 items-center text-enamel underline">
          All batches that run
        </Link>
      </p>
    </section>
  );
}
