import { timesOf } from '@/core/method/hands';
import { preparationOf } from '@/core/method/preparation';
import type { WorkedMethod } from '@/kitchen/method/work-method';
import { duration } from '@/ui/duration';
import { TimeOfDay } from '@/ui/time-of-day';

/** When it is begun and when it pours: forward from a time, backwards from one, or in minutes. */
export function MethodHead({
  method,
  start,
  onStart,
}: {
  method: WorkedMethod;
  /** min of the day */
  start: number | undefined;
  onStart: (minutes: number | undefined) => void;
}) {
  const { handsS } = timesOf(method.followed);
  const { weighS, knifeS, cutRows } = preparationOf(method.rows, method.followed);
  const stands = method.followed.some(({ step }) => step.end.kind === 'stand');
  const lasts = method.seconds / 60;
  return (
    <h2 className="text-[1.35rem] leading-snug">
      {start === undefined ? (
        `It takes about ${duration(method.seconds)}. `
      ) : (
        <>
          Start at <TimeOfDay label="Start at" minutes={start} onMinutes={onStart} />, it{' '}
          {stands ? 'is ready' : 'pours'} at{' '}
          <TimeOfDay label="Ready at" minutes={start + lasts} onMinutes={(end) => onStart(end - Math.round(lasts))} />.{' '}
        </>
      )}
      <span className="text-mute">
        {duration(handsS + weighS + knifeS)} hands-on, with {duration(weighS + knifeS)} before it to weigh
        {cutRows.length > 0 && ' and chop'}.
      </span>{' '}
      {start === undefined && (
        <button
          type="button"
          className="min-h-11 text-[1rem] font-medium text-enamel underline"
          onClick={() => {
            const now = new Date();
            onStart(now.getHours() * 60 + now.getMinutes());
          }}
        >
          Set a time
        </button>
      )}
    </h2>
  );
}
