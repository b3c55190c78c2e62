import { Button } from '@/ui/button';
import type { useAlarm } from '@/ui/use-alarm';

/** Asked once a tablet: whether timers may sound. */
export function AlarmQuestion({ alarm }: { alarm: ReturnType<typeof useAlarm> }) {
  if (alarm.refused) {
    return (
      <p role="alert" className="bg-near-wash px-4 py-2">
        This browser lets nothing sound here: timers are shown, not heard.
      </p>
    );
  }
  if (alarm.choice !== 'ask') return null;
  return (
    <div className="flex flex-wrap items-center gap-2 bg-enamel-wash px-4 py-2">
      <span className="flex-1">May timers sound on this tablet?</span>
      <Button
        onClick={() => {
          alarm.choose('on');
          alarm.test();
        }}
      >
        Yes, test it
      </Button>
      <Button look="bare" onClick={() => alarm.choose('off')}>
        No, only show them
      </Button>
    </div>
  );
}
