import type { WorkedMethod } from '@/kitchen/method/work-method';
import { duration, isWait } from './step-facts';

/** When it is begun and when it pours: forward from a time, or in minutes. */
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
  const ends = start === undefined ? undefined : clockOf(start + method.seconds / 60);
  const stands = method.followed.some(({ step }) => step.end.kind === 'stand');
  return (
    <h2 className="text-[1.35rem] leading-snug">
      {start === undefined ? `It takes about ${duration(method.seconds)}` : 'Start at '}
      {start !== undefined && (
        <input
          type="time"
          aria-label="Start at"
          className="read mx-1 rounded-md border-enamel border-b-2 bg-transparent px-1 text-enamel"
          value={clockOf(start)}
          onChange={(event) => onStart(minutesOf(event.target.value) ?? start)}
        />
      )}
      {ends && `, ${stands ? 'it is ready' : 'it pours'} at ${ends}`}.{' '}
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
