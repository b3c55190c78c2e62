import Link from 'next/link';
import { isWait } from '@/core/method/hands';
import { stepCaution } from '@/kitchen/method/step-caution';
import { CAUTION_WORDS } from '@/kitchen/words/cautions';
import { wordsOfStep } from '@/kitchen/words/fitting-words';
import { TOOL_WORDS } from '@/kitchen/words/method-words';
import { HEAT_SENTENCES, PLACE_WORDS } from '@/kitchen/words/step-words';
import { Button, Key } from '@/ui/button';
import { duration } from '@/ui/duration';
import { Looks } from './looks';
import { clockSeconds, StepClock } from './step-clock';
import type { Cook } from './use-cook';
import { Warmth } from './warmth';
import { WeighIn } from './weigh-in';

/** One step, as big as a knuckle needs it: what is done, what goes in, how warm, how long, how it looks. */
export function CookStep({ cook, place, onEnd }: { cook: Cook; place: number; onEnd: () => void }) {
  const { cooked, state, log } = cook;
  const followed = cooked.method.followed[place];
  const begunMs = state.steps[place]?.begunMs;
  if (!followed || begunMs === undefined) return null;
  const { step } = followed;
  const words = wordsOfStep(followed);
  const caution = stepCaution(followed);
  const isAside = step.where === 'aside';
  const how = [
    PLACE_WORDS[step.where],
    isAside ? '' : HEAT_SENTENCES[step.heat ?? 'none'],
    step.tool ? TOOL_WORDS[step.tool] : '',
  ]
    .filter((each) => each !== '')
    .join(', ');
  return (
    <>
      <div className="flex-1 px-6 pt-5 pb-6">
        <div className="flex items-start gap-4">
          <div className="min-w-0 flex-1">
            <h1 className="text-[34px] leading-tight">{words.name}</h1>
            <p className="mt-1 text-[20px] text-mute leading-snug">
              {how}. {words.looks}.
            </p>
          </div>
          <div className="shrink-0 text-right">
            <StepClock
              key={`${place} ${begunMs}`}
              seconds={clockSeconds(followed)}
              begunMs={begunMs}
              now={log.now}
              onEnd={onEnd}
              className="text-[44px] leading-none"
            />
            <p className="text-[14px] text-mute">
              {followed.seconds < 3 ? 'at once' : `about ${duration(followed.seconds)}`}
            </p>
          </div>
        </div>
        {step.note && <p className="mt-1 text-[20px]">{step.note}</p>}
        <WeighIn cook={cook} place={place} />
        {!isAside && <Warmth cook={cook} followed={followed} place={place} />}
        <Looks cook={cook} place={place} />
        {caution && (
          <p className="mt-4 rounded-xl border border-near/40 bg-near-wash px-4 py-3 text-[17px]">
            {caution} <span className="text-mute">{CAUTION_WORDS.code}</span>
          </p>
        )}
      </div>
      <div className="sticky bottom-0 flex flex-wrap gap-3 border-rule border-t bg-bench px-6 py-3">
        {(isWait(followed) || isAside) && (
          <Button className="min-h-16 px-6 text-[18px]" onClick={() => log.tell({ kind: 'aside', step: place })}>
            Let it go on aside
          </Button>
        )}
        <Link
          href={`/rescue?batch=${cook.id}`}
          className="inline-flex min-h-16 items-center rounded-lg border-2 border-ink px-6 font-semibold text-[18px]"
        >
          Looks wrong
        </Link>
        <Button
          look="primary"
          className="min-h-16 min-w-64 flex-1 text-[22px] whitespace-nowrap"
          onClick={() => log.tell({ kind: 'done', step: place })}
        >
          Done, go on <Key>Space</Key>
        </Button>
      </div>
    </>
  );
}
