import { useState } from 'react';
import type { Offset } from '@/core/learn/calibration';
import { isGross } from '@/core/learn/kitchen';
import { readTest } from '@/core/learn/kitchen-tests';
import { messageOf } from '@/formats/message-of';
import { sendPhoto } from '@/kitchen/client/photos';
import { panThickness } from '@/kitchen/cook/pan-thickness';
import { bookBatch } from '@/kitchen/record/tests-of';
import { celsius, millimetres, percent } from '@/ui/format';
import { usePours } from '@/ui/pours/pours-provider';
import { RingEntry, type RingRead } from '@/ui/ring-entry';
import type { Cook } from './use-cook';

/** How this pan pours beside what was calculated, with its doubt. */
export function thicknessWords({ mean, sd }: Offset): string {
  const share = Math.exp(mean) - 1;
  const doubt = percent(Math.exp(sd) - 1);
  if (Math.abs(share) < 0.05) return `It pours as calculated, give or take ${doubt}.`;
  return share > 0
    ? `It is about ${percent(share)} thicker than calculated, give or take ${doubt}.`
    : `It is about ${percent(-share)} thinner than calculated, give or take ${doubt}.`;
}

/** The ring on a plate, read at any time: it says how this very pan pours. */
export function RingTest({ cook }: { cook: Cook }) {
  const { state, log, cooked } = cook;
  const [photoFault, setPhotoFault] = useState<string | undefined>();
  const found = panThickness(cooked, state);
  const ring = state.rings.at(-1);
  const { offsets } = usePours().knowledge;
  const isFarOff = (read: RingRead) => {
    const batch = bookBatch(cooked, state);
    const reading = batch && readTest(batch, { test: 'ring', seconds: 30, ...read });
    return reading !== undefined && isGross(reading, offsets[reading.about]);
  };
  return (
    <>
      <h2 className="mt-4 text-[1.15rem]">Ring on a plate</h2>
      <RingEntry
        warm={state.temperatures.at(-1)?.temperatureC}
        isFarOff={isFarOff}
        onRead={(read) => log.tell({ kind: 'ring', ...read })}
        onPhoto={(file, diameterMm) => {
          setPhotoFault(undefined);
          sendPhoto(file)
            .then((photo) =>
              log.tell({ kind: 'photo', photo, shows: `ring of ${millimetres(Math.round(diameterMm))}` }),
            )
            .catch((error) => setPhotoFault(messageOf(error)));
        }}
      />
      {photoFault && (
        <p role="alert" className="mt-1 text-off">
          The photo was not saved: {photoFault}
        </p>
      )}
      {found && ring && (
        <p className="mt-1" data-testid="ring-says">
          {millimetres(ring.diameterMm)} at {celsius(ring.temperatureC)}. {thicknessWords(found)}
        </p>
      )}
    </>
  );
}
