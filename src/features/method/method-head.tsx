import type { WorkedMethod } from '@/kitchen/method/work-method';
import { duration, isWait } from './step-facts';

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
  const hands = method.followed.reduce((sum, each) => sum + (isWait(each) ? 0 : each.seconds), 0);
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
      <span className="text-mute">{duration(hands)} of it are hands.</span>{' '}
      {start === undefined && (
        <button
          type="button"
          className="min-h-11 text-[1rem] font-medium text-enamel underline"
          onClick={() => {
            const now = new Date();
            onStart(now.getHours() * 60 + now.getMinutes());
          }}
        >
          starting now
        </button>
      )}
    </h2>
  );
}

/** A time that can be set: the other one follows. */
function TimeOfDay({
  label,
  minutes,
  onMinutes,
}: {
  label: string;
  minutes: number;
  onMinutes: (minutes: number) => void;
}) {
  return (
    <input
      type="time"
      aria-label={label}
      className="read mx-0.5 min-h-11 rounded-t-md border-enamel border-b-2 bg-transparent px-1 text-enamel"
      value={clockOf(minutes)}
      onChange={(event) => {
        const typed = minutesOf(event.target.value);
        if (typed !== undefined) onMinutes(typed);
      }}
    />
  );
}

/** Minutes of a day as its time. */
export function clockOf(minutes: number): string {
  const day = ((Math.round(minutes) % 1440) + 1440) % 1440;
  return `${String(Math.floor(day / 60)).padStart(2, '0')}:${String(day % 60).padStart(2, '0')}`;
}

/** Minutes of the day of a time; nothing of what is no time. */
function minutesOf(text: string): number | undefined {
  const [, hours, minutes] = /^(\d{1,2}):(\d{2})/.exec(text) ?? [];
  return hours === undefined || minutes === undefined ? undefined : Number(hours) * 60 + Number(minutes);
}
