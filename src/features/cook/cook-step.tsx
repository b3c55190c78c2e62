import { Flame } from 'lucide-react';
import Link from 'next/link';
import type { FollowedStep } from '@/core/method/follow-method';
import { isWait } from '@/core/method/hands';
import { openRows } from '@/kitchen/cook/rows-open';
import { needsHeat } from '@/kitchen/cook/step-start';
import { endsByTheClock } from '@/kitchen/cook/timers-of';
import { stepCaution } from '@/kitchen/method/step-caution';
import { CAUTION_WORDS } from '@/kitchen/words/cautions';
import { wordsOfStep } from '@/kitchen/words/fitting-words';
import { TOOL_WORDS } from '@/kitchen/words/method-words';
import { RESCUE_NAME } from '@/kitchen/words/rescue-words';
import { HEAT_SENTENCES, PLACE_WORDS } from '@/kitchen/words/step-words';
import { Button, Key } from '@/ui/button';
import { duration } from '@/ui/duration';
import { celsius } from '@/ui/format';
import { BurstPanel } from './burst-panel';
import { StepClock } from './step-clock';
import { StepWarnings } from './step-warnings';
import type { Cook } from './use-cook';
import { Warmth } from './warmth';
import { WeighIn } from './weigh-in';

/** Where a step is done, on what heat, with what in the hand. */
function howWords({ step }: FollowedStep): string {
  const isAside = step.where === 'aside';
  const heat = isAside ? '' : HEAT_SENTENCES[step.heat ?? 'none'];
  return [PLACE_WORDS[step.where], heat, step.tool ? TOOL_WORDS[step.tool] : '']
    .filter((each) => each !== '')
    .join(', ');
}

/** How long, and how warm at the end: readable from two metres. The clock starts with the heat, or once all is in. */
function BigNumbers({
  cook,
  followed,
  place,
  onEnd,
}: {
  cook: Cook;
  followed: FollowedStep;
  place: number;
  onEnd: () => void;
}) {
  const { state, cooked, log } = cook;
  const startedMs = state.steps[place]?.startedMs;
  const isBursts = followed.step.end.kind === 'bursts';
  const isAside = followed.step.where === 'aside';
  const heats = needsHeat(cooked, place);
  const waitsFor = heats
    ? 'starts with the heat'
    : openRows(cooked, state, place).length > 0
      ? 'starts when all is in'
      : '';
  return (
    <div className="mt-4 flex flex-wrap items-end gap-x-10 gap-y-3">
      {!isBursts && (
        <div>
          <p className="text-[16px] text-mute">{startedMs === undefined ? `not started; ${waitsFor}` : 'left'}</p>
          <StepClock
            key={`${place} ${startedMs}`}
            seconds={followed.seconds}
            begunMs={startedMs}
            now={log.now}
            onEnd={endsByTheClock(followed) ? undefined : onEnd}
            className="text-[84px] leading-none"
          />
        </div>
      )}
      {!isAside && (
        <div>
          <p className="text-[16px] text-mute">at its end</p>
          <span className="read text-[56px] leading-none">{celsius(Math.round(followed.end.temperatureC))}</span>
        </div>
      )}
      {!isBursts && startedMs === undefined && (
        <Button
          look={heats ? 'primary' : 'quiet'}
          className="min-h-16 text-[20px]"
          onClick={() => log.tell({ kind: 'start', step: place })}
        >
          {heats ? (
            <>
              <Flame size={22} aria-hidden="true" /> Heat is on
            </>
          ) : (
            'Start the clock'
          )}
        </Button>
      )}
    </div>
  );
}

/** One step, as big as a knuckle needs it: what is done, what goes in, how warm, how long. */
export function CookStep({ cook, place, onEnd }: { cook: Cook; place: number; onEnd: () => void }) {
  const { cooked } = cook;
  const followed = cooked.method.followed[place];
  if (!followed) return null;
  const { step } = followed;
  const words = wordsOfStep(followed);
  const caution = stepCaution(followed);
  const isAside = step.where === 'aside';
  const next = cooked.method.followed[cook.state.steps.findIndex(({ status }, i) => i > place && status === 'todo')];
  return (
    <>
      <div className="flex-1 px-6 pt-3 pb-6">
        <h1 className="text-[44px] leading-[1.1]">{words.name}</h1>
        <p className="mt-1 text-[22px] text-mute leading-snug">
          {howWords(followed)}. About {followed.seconds < 3 ? 'no time' : duration(followed.seconds)}.
        </p>
        {step.note && <p className="mt-1 text-[22px]">{step.note}</p>}
        <StepWarnings cook={cook} place={place} />
        <BigNumbers cook={cook} followed={followed} place={place} onEnd={onEnd} />
        {step.end.kind === 'bursts' && <BurstPanel cook={cook} followed={followed} place={place} />}
        <WeighIn cook={cook} place={place} />
        {!isAside && <Warmth cook={cook} followed={followed} place={place} />}
        {caution && (
          <p className="mt-4 rounded-xl border border-near/40 bg-near-wash px-4 py-3 text-[17px]">
            {caution} <span className="text-mute">{CAUTION_WORDS.code}</span>
          </p>
        )}
      </div>
      <div className="sticky bottom-0 flex flex-wrap items-center gap-3 border-rule border-t bg-bench px-6 py-3">
        {(isWait(followed) || isAside) && (
          <Button className="min-h-16 px-6 text-[18px]" onClick={() => cook.leaveStep(place, 'aside')}>
            Let it go on aside
          </Button>
        )}
        <Link
          href={`/rescue?batch=${cook.id}`}
          className="inline-flex min-h-16 items-center rounded-lg border-2 border-ink px-6 font-semibold text-[18px]"
        >
          {RESCUE_NAME}
        </Link>
        <Button look="primary" className="min-h-16 min-w-64 flex-1 text-[22px]" onClick={() => cook.leaveStep(place)}>
          <span className="whitespace-nowrap">
            Done, go on <Key>Space</Key>
          </span>
          {next && <span className="truncate font-normal text-[16px]">to: {wordsOfStep(next).name}</span>}
        </Button>
      </div>
    </>
  );
}
