import { CalendarDays } from 'lucide-react';
import { useState } from 'react';
import { dayOf } from '@/formats/day';
import { stoveQuery } from '@/kitchen/method/stove-query';
import { clockOf } from '@/ui/time-of-day';
import { useKitchenTemperature } from '@/ui/use-kitchen-temperature';
import { useStove } from '@/ui/use-stove';

/** The work as a calendar file, on a day of the cook's choosing. */
export function CalendarLink({ id, start }: { id: string; start: number }) {
  const [day, setDay] = useState(() => dayOf(new Date()));
  const [kitchenC] = useKitchenTemperature();
  const stove = useStove();
  return (
    <p className="mt-2 flex flex-wrap items-center gap-3">
      <label className="flex items-center gap-2 text-[13.5px] text-mute">
        On
        <input
          type="date"
          aria-label="Day of the work"
          className="read min-h-11 rounded-lg border border-rule bg-field px-2 text-ink"
          value={day}
          onChange={(event) => event.target.value && setDay(event.target.value)}
        />
      </label>
      <a
        href={`/api/formulas/${id}/calendar?start=${day}T${clockOf(start)}&${stoveQuery(stove, kitchenC)}`}
        className="inline-flex min-h-11 items-center gap-2 font-medium text-enamel"
      >
        <CalendarDays size={17} aria-hidden="true" /> Calendar file
      </a>
    </p>
  );
}
