import { CalendarDays } from 'lucide-react';
import { type Plan, planText } from '@/kitchen/method/plan';
import { stoveQuery } from '@/kitchen/method/stove-query';
import { useKitchenTemperature } from '@/ui/use-kitchen-temperature';
import { useStove } from '@/ui/use-stove';

/** The work as a calendar file, on a day of the cook's choosing. */
export function CalendarLink({ id, plan, onDay }: { id: string; plan: Plan; onDay: (day: string) => void }) {
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
          value={plan.day}
          onChange={(event) => event.target.value && onDay(event.target.value)}
        />
      </label>
      <a
        href={`/api/formulas/${id}/calendar?start=${planText(plan)}&${stoveQuery(stove, kitchenC)}`}
        className="inline-flex min-h-11 items-center gap-2 font-medium text-enamel"
      >
        <CalendarDays size={17} aria-hidden="true" /> Calendar file
      </a>
    </p>
  );
}
