import { X } from 'lucide-react';
import { timesOf } from '@/core/method/hands';
import { preparationOf } from '@/core/method/preparation';
import { type Plan, planMs } from '@/kitchen/method/plan';
import type { WorkedMethod } from '@/kitchen/method/work-method';
import { Button } from '@/ui/button';
import { duration } from '@/ui/duration';
import { TimeOfDay } from '@/ui/time-of-day';
import { useSecond } from '@/ui/use-second';
import type { KeptPlan } from './use-plan';

/** min by which a start may lie behind and still be now. */
const STILL_NOW_MIN = 1;

/** A start that has gone by is said, with a press to begin now. */
function PastStart({ plan, onNow }: { plan: Plan; onNow: () => void }) {
  useSecond(10_000);
  const minutes = (Date.now() - planMs(plan)) / 60_000;
  if (minutes <= STILL_NOW_MIN) return null;
  return (
    <p
      role="alert"
      className="flex flex-wrap items-center gap-3 rounded-lg bg-near-wash px-3 py-1"
      suppressHydrationWarning
    >
      This start was {duration(60 * minutes)} ago.
      <Button onClick={onNow}>Start now</Button>
    </p>
  );
}

/** When it is begun and when it pours: forward from a time, backwards from one, or in minutes. */
export function MethodHead({ method, kept }: { method: WorkedMethod; kept: KeptPlan }) {
  const { plan } = kept;
  const { handsS } = timesOf(method.followed);
  const { weighS, knifeS, cutRows } = preparationOf(method.rows, method.followed);
  const stands = method.followed.some(({ step }) => step.end.kind === 'stand');
  const lasts = method.seconds / 60;
  return (
    <>
      <h2 className="text-[1.35rem] leading-snug">
        {plan === undefined ? (
          `It takes about ${duration(method.seconds)}. `
        ) : (
          <>
            Start at <TimeOfDay label="Start at" minutes={plan.start} onMinutes={kept.startAt} />, it{' '}
            {stands ? 'is ready' : 'pours'} at{' '}
            <TimeOfDay
              label="Ready at"
              minutes={plan.start + lasts}
              onMinutes={(end) => kept.startAt(end - Math.round(lasts))}
            />
            .{' '}
          </>
        )}
        <span className="text-mute">
          {duration(handsS)} of it hands-on. Before that, {duration(weighS + knifeS)} to weigh
          {cutRows.length > 0 && ' and chop'}.
        </span>{' '}
        {plan === undefined ? (
          <button
            type="button"
            className="min-h-11 text-[1rem] font-medium text-enamel underline"
            onClick={kept.startNow}
          >
            Set a time
          </button>
        ) : (
          <Button look="bare" className="!px-0 w-11" aria-label="Take the time away" onClick={kept.clear}>
            <X size={17} aria-hidden="true" />
          </Button>
        )}
      </h2>
      {plan && <PastStart plan={plan} onNow={kept.startNow} />}
    </>
  );
}
