import { useEffect, useState } from 'react';
import type { Exercise } from '@/core/practice/exercises';
import { Button } from '@/ui/button';

const KITCHEN_C = 21;
/** s in which the difference to the kitchen falls to a third, as it is shown: cooling is shown fifty times as fast (J). */
const SHOWN_S = 45;
const LITTLE_C = 2;
const HOTTEST_C = 90;

/** A pan that cools: by its own clock or a little at a press, poured when the cook says so. */
export function useCooling(exercise: Exercise | undefined) {
  const [temperatureC, setTemperature] = useState(60);
  const [isCooling, setCooling] = useState(false);
  const fromC = exercise?.kind === 'when' ? exercise.fromC : undefined;
  useEffect(() => {
    setCooling(false);
    if (fromC !== undefined) setTemperature(fromC);
  }, [fromC]);
  useEffect(() => {
    if (!isCooling) return;
    let last = performance.now();
    let frame = 0;
    const step = (now: number) => {
      const share = Math.exp(-(now - last) / 1000 / SHOWN_S);
      last = now;
      setTemperature((t) => KITCHEN_C + (t - KITCHEN_C) * share);
      frame = requestAnimationFrame(step);
    };
    frame = requestAnimationFrame(step);
    return () => cancelAnimationFrame(frame);
  }, [isCooling]);
  return {
    temperatureC,
    isCooling,
    toggle: () => setCooling(!isCooling),
    stop: () => setCooling(false),
    little: () => setTemperature((t) => Math.max(t - LITTLE_C, KITCHEN_C)),
    warm: () => setTemperature((t) => Math.min(t + LITTLE_C, HOTTEST_C)),
  };
}

/** Presses for a pan that cools. */
export function CoolingPresses({
  cooling,
  onPour,
}: {
  cooling: ReturnType<typeof useCooling>;
  onPour: (temperatureC: number) => void;
}) {
  return (
    <div className="grid gap-2">
      <Button onClick={cooling.toggle}>{cooling.isCooling ? 'Hold it' : 'Let it cool'}</Button>
      <Button onClick={cooling.little}>A little cooler</Button>
      <Button onClick={cooling.warm}>A little warmer</Button>
      <Button
        look="primary"
        className="min-h-14"
        onClick={() => {
          cooling.stop();
          onPour(cooling.temperatureC);
        }}
      >
        Pour now
      </Button>
      <p className="text-[13.5px] text-mute">
        It cools about fifty times as fast as at the stove; all else takes as long as it does there.
      </p>
    </div>
  );
}
