import Link from 'next/link';
import { CHECK_WORDS, CHECKS_OF } from '@/kitchen/words/check-words';
import { wordsOfStep } from '@/kitchen/words/fitting-words';
import { Button } from '@/ui/button';
import { CheckPicture } from './check-picture';
import type { Cook } from './use-cook';

/** What is looked for at the end of this step, each with a picture and two answers. */
export function Looks({ cook, place }: { cook: Cook; place: number }) {
  const followed = cook.cooked.method.followed[place];
  const checks = followed && CHECKS_OF[followed.step.kind];
  if (!followed || !checks) return null;
  return (
    <section aria-label="Looks" className="mt-4 grid gap-3 md:grid-cols-2">
      {checks.map((check) => {
        const { ask, how, good, bad } = CHECK_WORDS[check];
        const answer = cook.state.checks.findLast((each) => each.step === place && each.check === check);
        const tell = (isGood: boolean) => cook.log.tell({ kind: 'check', step: place, check, isGood });
        return (
          <div key={check} className="rounded-xl border border-rule bg-sheet px-4 py-3">
            <div className="flex gap-3">
              <CheckPicture check={check} />
              <div>
                <h3 className="font-sans font-semibold text-[18px] leading-tight">{ask}</h3>
                <p className="text-[14.5px] text-mute">{how}</p>
              </div>
            </div>
            <div className="mt-2 grid grid-cols-2 gap-2">
              <Button
                className="min-h-14"
                aria-pressed={answer?.isGood === true}
                look={answer?.isGood === true ? 'primary' : 'quiet'}
                onClick={() => tell(true)}
              >
                {good}
              </Button>
              <Button
                className="min-h-14"
                aria-pressed={answer?.isGood === false}
                look={answer?.isGood === false ? 'danger' : 'quiet'}
                onClick={() => tell(false)}
              >
                {bad}
              </Button>
            </div>
            {answer?.isGood === false && (
              <p role="alert" className="mt-2 text-[17px]">
                {wordsOfStep(followed).wrong}{' '}
                <Link
                  href={`/rescue?batch=${cook.id}`}
                  className="inline-flex min-h-11 items-center text-enamel underline"
                >
                  Work it out
                </Link>
              </p>
            )}
          </div>
        );
      })}
    </section>
  );
}
