import type { MomentReading, Prediction } from '@/core/predict/formula';
import { chocolateColour } from '@/core/shine/colour';
import { celsius, hours } from '@/ui/format';
import { behaviour, nearestLandmark } from '@/ui/landmarks';
import { Puddle } from '@/ui/puddle';
import { momentTitle } from './cook-words';

/** Hours since the batch was poured, over the whole history. */
function age(reading: MomentReading): number {
  return reading.moment.history.reduce((sum, [span]) => sum + span, 0);
}

/** The moments as 20 ml on a plate after 30 s, all at one scale. */
export function MomentsStrip({ prediction }: { prediction: Prediction }) {
  const colour = chocolateColour(prediction.batch.mixture);
  const missed = new Set(prediction.gates.filter((gate) => !gate.lands).map((gate) => gate.moment));
  if (prediction.moments.length === 0) return null;
  return (
    <section aria-label="20 ml on a plate after 30 seconds">
      <div className="mt-3 mb-2 flex items-baseline justify-between">
        <h2 className="text-[1.1rem]">20 ml on a plate, 30 s</h2>
        <span className="text-[13px] text-mute">drawn to scale, from a 5 cm ring</span>
      </div>
      <ul className="grid grid-cols-[repeat(auto-fit,minmax(124px,1fr))] gap-px overflow-hidden rounded-xl border border-rule bg-rule">
        {prediction.moments.map((reading) => {
          const { moment, state, plateDiameterMm } = reading;
          const isMissed = missed.has(moment.name);
          const word = behaviour(state.flow.resistancePa);
          const size = `${Math.round(plateDiameterMm)} mm`;
          return (
            <li key={moment.name} className="bg-sheet px-3 pt-2 pb-3" data-moment={moment.name}>
              <p className="font-semibold">{momentTitle(moment.name)}</p>
              <p className="read text-[0.85rem] text-mute">
                {celsius(moment.temperatureC)}, {hours(age(reading))}
              </p>
              <Puddle
                diameterMm={plateDiameterMm}
                colour={colour}
                shine={state.shine}
                label={`${momentTitle(moment.name)}: spreads to ${size}`}
                className="my-2 w-full"
              />
              <p className="read text-center text-[0.85rem] text-mute">{size}</p>
              <p className={`font-head text-[1.1rem] font-semibold ${isMissed ? 'text-off' : ''}`}>{word}</p>
              <p className="text-[13px] text-mute">like {nearestLandmark(state.flow.resistancePa)}</p>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
