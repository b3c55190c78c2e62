import type { Offset } from '@/core/learn/calibration';
import { panThickness } from '@/kitchen/cook/pan-thickness';
import { celsius, millimetres, percent } from '@/ui/format';
import { RingEntry } from '@/ui/ring-entry';
import type { Cook } from './use-cook';

/** How this pan pours beside what was reckoned, with its doubt. */
function thicknessWords({ mean, sd }: Offset): string {
  const share = Math.exp(mean) - 1;
  const doubt = percent(Math.exp(sd) - 1);
  if (Math.abs(share) < 0.05) return `It pours as reckoned, give or take ${doubt}.`;
  return share > 0
    ? `It is about ${percent(share)} thicker than reckoned, give or take ${doubt}.`
    : `It is about ${percent(-share)} thinner than reckoned, give or take ${doubt}.`;
}

/** The ring on a plate, read at any time: it says how this very pan pours. */
export function RingTest({ cook }: { cook: Cook }) {
  const { state, log, cooked } = cook;
  const found = panThickness(cooked, state.rings);
  const ring = state.rings.at(-1);
  return (
    <>
      <h2 className="mt-4 text-[1.15rem]">Ring on a plate</h2>
      <RingEntry
        warm={state.temperatures.at(-1)?.temperatureC}
        onRead={(read) => log.tell({ kind: 'ring', ...read })}
      />
      {found && ring && (
        <p className="mt-1" data-testid="ring-says">
          {millimetres(ring.diameterMm)} at {celsius(ring.temperatureC)}. {thicknessWords(found)}
        </p>
      )}
    </>
  );
}
