import { yieldToStand } from '@/core/flow/piping';
import { HANDS, softAt, staysFirmHours } from '@/core/serve/staying-firm';
import { swirlVolume } from '@/core/yields/surfaces';
import { duration } from '@/ui/duration';
import { celsius, weight } from '@/ui/format';
import { useTyped } from '@/ui/use-typed';
import { Amount, Fact } from './asked';
import type { Serving } from './use-serving';

/** m from the middle of a full bag to the hand round it, and g it takes (J). */
const BAG = { radiusM: 0.03, grams: 400 } as const;
const BENCH_C = 18;

/** Piped swirls: how many, how many bags, and how long a bag lasts in warm hands. */
export function Swirls({ serving: { prediction, batchG } }: { serving: Serving }) {
  const [size, setSize] = useTyped('swirl', { acrossCm: 3.5, highCm: 3 });
  const gramsEach = (swirlVolume(size.acrossCm, size.highCm) * prediction.densityKgM3) / 1000;
  const needsPa = yieldToStand(10 * size.highCm, prediction.densityKgM3);
  const softC = softAt(prediction.batch, BENCH_C, needsPa);
  const lasts = staysFirmHours(prediction.batch, { shape: 'cylinder', lengthM: BAG.radiusM }, BENCH_C, needsPa, HANDS);
  return (
    <>
      <div className="no-print grid max-w-sm gap-2">
        <Amount
          label="Across"
          unit="cm"
          reach={[0.5, 20]}
          value={size.acrossCm}
          onValue={(acrossCm) => setSize({ ...size, acrossCm })}
        />
        <Amount
          label="High"
          unit="cm"
          reach={[0.5, 20]}
          value={size.highCm}
          onValue={(highCm) => setSize({ ...size, highCm })}
        />
      </div>
      <dl className="mt-3 max-w-2xl">
        <Fact name="Swirls" note={`${weight(Math.round(gramsEach))} each`}>
          {Math.floor(batchG / gramsEach)}
        </Fact>
        <Fact name="Bags" note={`${weight(BAG.grams)} in each: a fuller one warms before it is empty`}>
          {Math.ceil(batchG / BAG.grams)}
        </Fact>
        <Fact
          name="A bag in warm hands holds its shape"
          note={
            softC === undefined
              ? `from ${celsius(BENCH_C)} a swirl so high does not stand: chill it, or pipe lower`
              : `until it is at ${celsius(Math.round(softC))} where the hand is`
          }
        >
          {softC === undefined
            ? '–'
            : lasts === undefined
              ? 'as long as you like'
              : duration(Math.max(3600 * lasts, 1))}
        </Fact>
      </dl>
      <p className="mt-3 max-w-2xl">
        A tip of about a third of the width; squeeze from above, twist, lift straight up. Put the bag down between
        trays.
      </p>
    </>
  );
}
