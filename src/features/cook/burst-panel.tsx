import type { FollowedStep } from '@/core/method/follow-method';
import { nth } from '@/core/nth';
import { BURST_STIR_S } from '@/core/pan/burst-plan';
import { Button } from '@/ui/button';
import { celsius } from '@/ui/format';
import { StepClock } from './step-clock';
import type { Cook } from './use-cook';

/** s of a burst more than were planned. */
const ONE_MORE_S = 10;

/** Bursts are cooked one by one: watts, seconds, how hot its hottest place gets, then stir and look. */
export function BurstPanel({ cook, followed, place }: { cook: Cook; followed: FollowedStep; place: number }) {
  const { state, log, cooked } = cook;
  const plan = followed.bursts ?? [];
  const begunMs = state.steps[place]?.begunMs ?? 0;
  const done = state.bursts.filter(({ step, ms }) => step === place && ms >= begunMs);
  const last = done.at(-1);
  const next = plan[done.length];
  const seconds = next?.seconds ?? ONE_MORE_S;
  const watts = cooked.method.kitchen.microwaveW;
  return (
    <section aria-label="Bursts" className="mt-4 rounded-xl border border-rule bg-sheet px-5 py-3">
      {last && (
        <div className="flex flex-wrap items-center gap-5 border-rule border-b pb-2">
          <p className="text-[20px]">
            Burst {done.length} of {Math.max(plan.length, done.length)}
          </p>
          <StepClock
            key={last.ms}
            seconds={last.seconds}
            begunMs={last.ms}
            now={log.now}
            className="text-[64px] leading-none"
          />
          <p className="min-w-48 flex-1 text-[20px]">
            Then stir {BURST_STIR_S} s, to the base and the rim.
            {plan[done.length - 1] && ` About ${celsius(Math.round(nth(plan, done.length - 1).stirredC))} after it.`}
          </p>
        </div>
      )}
      <div className="mt-2 flex flex-wrap items-center gap-4">
        <p className="min-w-48 flex-1 text-[22px]">
          {next ? (
            <>
              Next: <strong className="read">{watts} W</strong> for <strong className="read">{seconds} s</strong>. Its
              hottest place gets {celsius(Math.round(next.hottestC))}.
            </>
          ) : (
            `All planned bursts are done. Lumps left: one more of ${ONE_MORE_S} s.`
          )}
        </p>
        <Button
          look={next ? 'primary' : 'quiet'}
          className="min-h-16 text-[20px]"
          onClick={() => log.tell({ kind: 'burst', step: place, seconds })}
        >
          Start burst {done.length + 1}
        </Button>
      </div>
    </section>
  );
}
