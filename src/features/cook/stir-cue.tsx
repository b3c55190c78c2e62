import { useMemo } from 'react';
import type { FollowedStep } from '@/core/method/follow-method';
import { stirEvery } from '@/kitchen/cook/stir-every';
import { duration } from '@/ui/duration';
import { useSecond } from '@/ui/use-second';

/** How long "now" is shown, s. */
const NOW_S = 30;

/** When a batch that cools is to be stirred, and that it is time. */
export function StirCue({ followed, begunMs, now }: { followed: FollowedStep; begunMs: number; now: () => number }) {
  useSecond();
  const every = useMemo(() => stirEvery(followed), [followed]);
  if (every === undefined) return null;
  const since = Math.max((now() - begunMs) / 1000, 0);
  const isNow = since >= every && since % every < NOW_S;
  return (
    <p className="mt-2 text-[17px]" data-testid="stir-cue" suppressHydrationWarning>
      {isNow ? (
        <strong role="status" className="text-near">
          Stir it now, from the rim inwards.
        </strong>
      ) : (
        `Stir it about every ${duration(every)}: left longer, the rim sets before the middle.`
      )}
    </p>
  );
}
