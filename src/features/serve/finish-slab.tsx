import { useMemo } from 'react';
import { coolingTime } from '@/core/pan/cooling-time';
import { stillMaterial } from '@/core/pan/still';
import { framedSlab } from '@/core/serve/finishing';
import { COOLING_PLACES } from '@/core/set/cooling';
import { duration } from '@/ui/duration';
import { celsius, weight } from '@/ui/format';
import { useTyped } from '@/ui/use-typed';
import { Amount, Fact } from './asked';
import type { Serving } from './use-serving';

/** °C a slab's middle is at when it cuts clean (J). */
const CUTS_C = 14;

/** A frame: what it takes, how it is cut, and when its middle is there. */
export function Slab({ serving: { prediction, batchG, pour } }: { serving: Serving }) {
  const [frame, setFrame] = useTyped('slab', { lengthCm: 20, widthCm: 15, depthMm: 10, cutCm: 2.5 });
  const { holdsG, along, across, cuts, eachG, trimG } = framedSlab(frame, prediction.densityKgM3);
  const say = (change: Partial<typeof frame>) => setFrame({ ...frame, ...change });
  const coldH = useMemo(() => {
    const body = { shape: 'slab', lengthM: frame.depthMm / 1000 } as const;
    const place = { surface: COOLING_PLACES.room, aroundC: 12 };
    return coolingTime(body, stillMaterial(prediction.batch), place, { fromC: pour.temperatureC, toC: CUTS_C });
  }, [frame.depthMm, prediction.batch, pour.temperatureC]);
  return (
    <>
      <div className="no-print grid max-w-sm gap-2">
        <Amount
          label="Frame, long"
          unit="cm"
          reach={[2, 100]}
          value={frame.lengthCm}
          onValue={(lengthCm) => say({ lengthCm })}
        />
        <Amount
          label="Frame, wide"
          unit="cm"
          reach={[2, 100]}
          value={frame.widthCm}
          onValue={(widthCm) => say({ widthCm })}
        />
        <Amount
          label="So deep"
          unit="mm"
          reach={[1, 100]}
          value={frame.depthMm}
          onValue={(depthMm) => say({ depthMm })}
        />
        <Amount
          label="Cut into squares of"
          unit="cm"
          reach={[0.5, 50]}
          value={frame.cutCm}
          onValue={(cutCm) => say({ cutCm })}
        />
      </div>
      <dl className="mt-3 max-w-2xl">
        <Fact
          name="The frame takes"
          note={holdsG > batchG ? `this batch gives ${weight(Math.round(batchG))}` : undefined}
        >
          {weight(Math.round(holdsG))}
        </Fact>
        <Fact name="Cuts" note={`${along} by ${across}, ${weight(Math.round(eachG * 10) / 10)} each`}>
          {cuts}
        </Fact>
        <Fact name="Trimmings" note="for the next sauce">
          {weight(Math.round(trimG))}
        </Fact>
        <Fact
          name="Cut when its middle is at"
          note={`in a cool room of ${celsius(12)}, poured at ${celsius(Math.round(pour.temperatureC))}`}
        >
          {celsius(CUTS_C)}
          {coldH !== undefined && `, after ${duration(3600 * coldH)}`}
        </Fact>
      </dl>
      <p className="mt-3 max-w-2xl">
        A layer or sandwich: spread to the edges from the middle, lid it before the skin, press with a flat hand, cut
        cold with a warm dry knife.
      </p>
    </>
  );
}
