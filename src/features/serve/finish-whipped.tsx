import { overrun, WHIPPED } from '@/core/serve/finishing';
import { celsius, percent, weight } from '@/ui/format';
import { useTyped } from '@/ui/use-typed';
import { Amount, Fact } from './asked';
import type { Serving } from './use-serving';

/** Whipped ganache: chilled first, whipped until a cup says stop. */
export function Whipped({ serving: { prediction, batchG } }: { serving: Serving }) {
  const [cups, setCups] = useTyped('cups', { beforeG: 250, afterG: 150 });
  const reached = overrun(cups.beforeG, cups.afterG);
  const volumeMl = (batchG / prediction.densityKgM3) * 1000 * (1 + Math.max(reached, 0));
  return (
    <>
      <div className="no-print grid max-w-sm gap-2">
        <Amount
          label="A cup of it, before"
          unit="g"
          reach={[10, 2000]}
          value={cups.beforeG}
          onValue={(beforeG) => setCups({ ...cups, beforeG })}
        />
        <Amount
          label="The same cup, now"
          unit="g"
          reach={[5, 2000]}
          value={cups.afterG}
          onValue={(afterG) => setCups({ ...cups, afterG })}
        />
      </div>
      {reached < 0 && (
        <p role="alert" className="mt-2 text-off">
          The cup weighs more than before: fill it to the brim both times, and weigh it again.
        </p>
      )}
      <dl className="mt-3 max-w-2xl">
        <Fact name="Air in it" note={`best at about ${percent(WHIPPED.best)}`}>
          {percent(Math.max(reached, 0))}
        </Fact>
        <Fact name="This batch whipped" note={`from ${weight(Math.round(batchG))}`}>
          {Math.round(volumeMl)} ml
        </Fact>
        <Fact name="Stop when the cup weighs" note="then it still takes another stroke by hand">
          {weight(Math.round(cups.beforeG / (1 + WHIPPED.best)))}
        </Fact>
      </dl>
      <p className="mt-3 max-w-2xl">
        Chill until its middle is at {celsius(6)} or under, whip slowly.{' '}
        {reached > WHIPPED.tooFar && 'This is too far: it turns dry. '}
        Stop when the whisk leaves tracks that stay and the shine is just going; grains are one stroke away.
      </p>
    </>
  );
}
