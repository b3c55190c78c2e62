import { CalendarDays } from 'lucide-react';
import { useState } from 'react';
import { clockOf } from './method-head';

/** Today on this tablet's clock, as a field of dates writes it. */
function today(): string {
  const now = new Date();
  return `${now.getFullYear()}-${String(now.getMonth() + 1).padStart(2, '0')}-${String(now.getDate()).padStart(2, '0')}`;
}

/** The work as a calendar file, on a day of the cook's choosing. */
export function CalendarLink({ id, start }: { id: string; start: number }) {
  const [day, setDay] = useState(today);
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
        href={`/api/formulas/${id}/calendar?start=${day}T${clockOf(start)}`}
        className="inline-flex min-h-11 items-center gap-2 font-medium text-enamel"
      >
        <CalendarDays size={17} aria-hidden="true" /> Calendar file
      </a>
    </p>
  );
}
