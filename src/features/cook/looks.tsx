import Link from 'next/link';
import type { Sign } from '@/core/rescue/signs';
import type { CheckKind } from '@/formats/batch';
import { CHECK_WORDS, CHECKS_OF } from '@/kitchen/words/check-words';
import { wordsOfStep } from '@/kitchen/words/fitting-words';
import { Button } from '@/ui/button';
import { CheckPicture } from './check-picture';
import { LineAnswers } from './line-answers';
import type { Cook } from './use-cook';

/** One thing to look for: each answer by itself, and each bad one leads to what is done about it. */
function Look({ cook, place, check }: { cook: Cook; place: number; check: CheckKind }) {
  const followed = cook.cooked.method.followed[place];
  const { ask, how, good, bad } = CHECK_WORDS[check];
  const answer = cook.state.checks.findLast((each) => each.step === place && each.check === check);
  if (!followed) return null;
  const seen = bad.find(([, sign]) => answer && !answer.isGood && (answer.sign ?? sign) === sign);
  const tell = (sign: Sign | undefined) =>
    cook.log.tell({ kind: 'check', step: place, check, isGood: sign === undefined, ...(sign && { sign }) });
  return (
    <div className="rounded-xl border border-rule bg-sheet px-4 py-3">
      <div className="flex gap-3">
        {check !== 'coats' && <CheckPicture check={check} />}
        <div>
          <h3 className="font-sans font-semibold text-[18px] leading-tight">{ask}</h3>
          <p className="text-[14.5px] text-mute">{how}</p>
        </div>
      </div>
      {check === 'coats' ? (
        <LineAnswers
          cook={cook}
          place={place}
          chosen={answer?.isGood ? 'good' : seen?.[1] === 'bitThin' || seen?.[1] === 'bitThick' ? seen[1] : undefined}
          onChoose={(chosen) => tell(chosen === 'good' ? undefined : chosen)}
        />
      ) : (
        <div className="mt-2 flex flex-wrap gap-2">
          <Button
            className="min-h-14 flex-1"
            aria-pressed={answer?.isGood === true}
            look={answer?.isGood === true ? 'primary' : 'quiet'}
            onClick={() => tell(undefined)}
          >
            {good}
          </Button>
          {bad.map(([words, sign]) => (
            <Button
              key={sign}
              className="min-h-14 flex-1"
              aria-pressed={seen?.[1] === sign}
              look={seen?.[1] === sign ? 'danger' : 'quiet'}
              onClick={() => tell(sign)}
            >
              {words}
            </Button>
          ))}
        </div>
      )}
      {seen && (
        <p role="alert" className="mt-2 text-[17px]">
          {wordsOfStep(followed).wrong}{' '}
          <Link
            href={`/rescue?batch=${cook.id}&sign=${seen[1]}`}
            className="inline-flex min-h-11 items-center font-semibold text-enamel underline"
          >
            Fix it
          </Link>
        </p>
      )}
    </div>
  );
}

/** What is looked for at the end of this step. */
export function Looks({ cook, place }: { cook: Cook; place: number }) {
  const kind = cook.cooked.method.followed[place]?.step.kind;
  const checks = kind && CHECKS_OF[kind];
  if (!checks) return null;
  return (
    <section aria-label="Looks" className="grid gap-3 px-5 pt-4">
      {checks.map((check) => (
        <Look key={check} cook={cook} place={place} check={check} />
      ))}
    </section>
  );
}
