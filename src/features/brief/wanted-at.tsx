import { dayOf } from '@/formats/day';
import { clockOf, TimeOfDay } from '@/ui/time-of-day';

/** Five in the afternoon: before the evening's plates. */
const USUAL_TIME = '17:00';

/** The day and time it is wanted, which put it on that day's schedule. */
export function WantedAt({
  wantedAt,
  onWantedAt,
}: {
  /** `2026-12-05T17:30` */
  wantedAt: string | undefined;
  onWantedAt: (wantedAt: string | undefined) => void;
}) {
  const [day = '', time = USUAL_TIME] = wantedAt?.split('T') ?? [];
  const [hours = 0, minutes = 0] = time.split(':').map(Number);
  return (
    <p className="mt-3 font-head text-[1.15rem] leading-[2.15] tracking-tight" data-testid="wanted">
      Wanted on{' '}
      <input
        type="date"
        aria-label="Wanted on"
        className="read mx-0.5 min-h-11 rounded-t-md border-enamel border-b-2 bg-transparent px-1 text-enamel"
        value={day}
        min={dayOf(new Date())}
        onChange={({ target }) => onWantedAt(target.value === '' ? undefined : `${target.value}T${time}`)}
      />
      {day === '' ? (
        <span className="text-mute"> (any day)</span>
      ) : (
        <>
          {' '}
          at{' '}
          <TimeOfDay
            label="Wanted at"
            minutes={60 * hours + minutes}
            onMinutes={(at) => onWantedAt(`${day}T${clockOf(at)}`)}
          />
          : it goes onto the schedule of that day.
        </>
      )}
    </p>
  );
}
