'use client';

import { useMemo, useState } from 'react';
import { firstIceC } from '@/core/keep/freezing';
import { momentTests } from '@/core/predict/moment-tests';
import type { MomentReading, Prediction } from '@/core/predict/predict-formula';
import type { State } from '@/core/predict/state';
import { chocolateColour } from '@/core/shine/colour';
import { fluidOf } from '@/kitchen/method/pan-fluid';
import { celsius, centimetres, hours, millimetres } from '@/ui/format';
import { behaviour, nearestLandmark } from '@/ui/landmarks';
import { momentTitle } from '@/ui/moment-words';
import { Puddle } from '@/ui/puddle';
import { FollowingStill } from '@/ui/sauce/following-still';

/** Hours since the batch was poured, over the whole history. */
function age(reading: MomentReading): number {
  return reading.moment.history.reduce((sum, [span]) => sum + span, 0);
}

/** What the kitchen's own tests would show at a moment. */
function Tests({ state }: { state: State }) {
  const tests = momentTests(state);
  const mm = (value: number) => (value > 500 ? `over ${centimetres(50)}` : millimetres(value, 2));
  const rows: readonly (readonly [string, string])[] = [
    ['50 ml ring, 30 s', mm(tests.ringMm)],
    ['coat on a side', mm(tests.sideMm)],
    ['back of a spoon', `${mm(tests.spoonMm)}, line ${tests.lineHolds ? 'holds' : 'runs'}`],
    ['a swirl stands', tests.standsMm < 1 ? 'no' : mm(tests.standsMm)],
    ['through a bag', tests.pipes ? 'yes' : 'too stiff for a hand'],
    ['a spoon laid on it', tests.spoonSinksMm === undefined ? 'sinks in' : `${mm(tests.spoonSinksMm)} deep`],
  ];
  return (
    <dl className="text-[12.5px]" data-testid="moment-tests">
      {rows.map(([name, shown]) => (
        <div key={name} className="border-rule-soft border-t py-0.5">
          <dt className="text-mute">{name}</dt>
          <dd className="read">{shown}</dd>
        </div>
      ))}
    </dl>
  );
}

/** 20 ml on a plate at a moment: it follows the rows as they are dragged. */
function MomentStill({ reading, colour, label }: { reading: MomentReading; colour: string; label: string }) {
  const { state, plateDiameterMm } = reading;
  const of = useMemo(
    () => ({ kind: 'drop', fluid: fluidOf(state), look: { colour, shine: state.shine }, seconds: 30 }) as const,
    [state, colour],
  );
  const flat = (
    <Puddle diameterMm={plateDiameterMm} colour={colour} shine={state.shine} label={label} className="w-full" />
  );
  return <FollowingStill of={of} name={label} flat={flat} />;
}

/** The moments as 20 ml on a plate after 30 s, all at one scale. */
export function MomentsStrip({
  prediction,
  onMoments,
  onPour,
}: {
  prediction: Prediction;
  /** opens the sheet in which moments are added, named and set */
  onMoments: () => void;
  /** pours it as it is at a moment */
  onPour: (moment: string) => void;
}) {
  const [opened, setOpened] = useState<string | undefined>();
  const colour = chocolateColour(prediction.batch.mixture);
  const missed = new Set(prediction.gates.filter((gate) => !gate.lands).map((gate) => gate.moment));
  if (prediction.moments.length === 0) return null;
  return (
    <section aria-label="20 ml on a plate after 30 seconds">
      <div className="mt-3 mb-2 flex flex-wrap items-baseline justify-between gap-x-3">
        <h2 className="text-[1.1rem]">20 ml on a plate, 30 s</h2>
        <span className="whitespace-nowrap text-[13px] text-mute">
          to scale, {centimetres(5)} ring{' '}
          <button type="button" className="min-h-11 pl-2 font-medium text-enamel" onClick={onMoments}>
            Change moments
          </button>
        </span>
      </div>
      <ul className="grid grid-cols-[repeat(auto-fit,minmax(124px,1fr))] gap-px overflow-hidden rounded-xl border border-rule bg-rule">
        {prediction.moments.map((reading) => {
          const { moment, state, plateDiameterMm } = reading;
          const isMissed = missed.has(moment.name);
          const word = behaviour(state.flow.resistancePa);
          const size = millimetres(Math.round(plateDiameterMm));
          return (
            <li key={moment.name} className="bg-sheet px-3 pt-2 pb-3" data-moment={moment.name}>
              <p className="font-semibold">{momentTitle(moment.name)}</p>
              <p className="read text-[0.85rem] text-mute">
                {celsius(moment.temperatureC)}, {hours(age(reading))}
              </p>
              <button
                type="button"
                className="my-2 block w-full rounded-lg hover:bg-enamel-wash/60"
                aria-label={`${momentTitle(moment.name)}: spreads to ${size}. Pour it`}
                onClick={() => onPour(moment.name)}
              >
                <MomentStill
                  reading={reading}
                  colour={colour}
                  label={`${momentTitle(moment.name)}: spreads to ${size}`}
                />
              </button>
              <p className="read text-center text-[0.85rem] text-mute">{size}</p>
              <p className={`font-head text-[1.1rem] font-semibold ${isMissed ? 'text-off' : ''}`}>{word}</p>
              <p className="text-[13px] text-mute">like {nearestLandmark(state.flow.resistancePa)}</p>
              {moment.temperatureC <= firstIceC(state.waterActivity) && (
                <p className="text-[13px] text-near">
                  freezes from {celsius(firstIceC(state.waterActivity))}: below that the numbers end
                </p>
              )}
              <button
                type="button"
                className="-ml-2 min-h-11 min-w-11 px-2 text-left text-[13px] font-medium text-enamel"
                aria-expanded={opened === moment.name}
                aria-label={`${momentTitle(moment.name)}: kitchen tests`}
                onClick={() => setOpened(opened === moment.name ? undefined : moment.name)}
              >
                {opened === moment.name ? 'less' : 'tests'}
              </button>
              {opened === moment.name && <Tests state={state} />}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
