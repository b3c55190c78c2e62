/** A time of the day in a sentence, that can be set. */
export function TimeOfDay({
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
