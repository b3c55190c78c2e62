import { useMemo } from 'react';
import { spreadDiameter } from '@/core/flow/ring-spread';
import { atThePour } from '@/core/formula/moment-role';
import { firstDoubt } from '@/core/predict/first-doubt';
import type { MomentReading, Prediction } from '@/core/predict/predict-formula';
import { chocolateColour } from '@/core/shine/colour';
import { fluidOf } from '@/kitchen/method/pan-fluid';
import { millimetres } from '@/ui/format';
import { momentTitle } from '@/ui/moment-words';
import { Puddle } from '@/ui/puddle';
import { PourPicture } from '@/ui/sauce/pour-picture';
import { Sheet } from '@/ui/sheet';
import { PourBeside, type Poured } from './pour-beside';

/** How wide 20 ml run after 30 s: as predicted, and at both ends of what eight batches in ten do; mm, the thin end first. */
function spreads(
  prediction: Prediction,
  reading: MomentReading,
): readonly [thin: number, middle: number, thick: number] {
  const fluid = fluidOf(reading.state);
  const { flow } = reading.state;
  const viscosity = firstDoubt(prediction, reading, 'apparentViscosityPaS', flow.apparentViscosityPaS);
  const yieldPa = firstDoubt(prediction, reading, 'yieldStressPa', flow.yieldStressPa);
  const at = (edge: 'low' | 'high') =>
    spreadDiameter(
      {
        ...fluid,
        yieldStressPa: yieldPa?.[edge] ?? fluid.yieldStressPa,
        plasticViscosityPaS:
          fluid.plasticViscosityPaS * ((viscosity?.[edge] ?? flow.apparentViscosityPaS) / flow.apparentViscosityPaS),
      },
      20,
      30,
    );
  return [at('low'), spreadDiameter(fluid, 20, 30), at('high')];
}

/** Another prediction at a moment of the same name, or at its own pour; nothing without any. */
function pouredAt(name: string, { moments, batch }: Prediction, moment: string): Poured | undefined {
  const reading = moments.find((each) => each.moment.name === moment) ?? atThePour(moments);
  if (!reading) return undefined;
  const look = { colour: chocolateColour(batch.mixture), shine: reading.state.shine };
  return { name, fluid: fluidOf(reading.state), look, temperatureC: reading.moment.temperatureC };
}

/** 20 ml of the pan, poured on a plate at one of its moments; what it could be as well stands below. */
export function PourSheet({
  id,
  prediction,
  moment,
  others,
  onClose,
}: {
  id: string;
  prediction: Prediction;
  /** other states of it, and formulas it is compared with */
  others: readonly { readonly name: string; readonly prediction: Prediction }[];
  /** name of the moment */
  moment: string;
  onClose: () => void;
}) {
  const reading = prediction.moments.find((each) => each.moment.name === moment);
  const fluid = useMemo(() => reading && fluidOf(reading.state), [reading]);
  const colour = chocolateColour(prediction.batch.mixture);
  const shine = reading?.state.shine ?? 0;
  const look = useMemo(() => ({ colour, shine }), [colour, shine]);
  const near = useMemo(
    () => others.flatMap(({ name, prediction: other }) => pouredAt(name, other, moment) ?? []),
    [others, moment],
  );
  if (!reading || !fluid) return null;
  const [thin, middle, thick] = spreads(prediction, reading);
  return (
    <Sheet title={`How it pours, ${momentTitle(moment).toLowerCase()}`} width="wide" onClose={onClose}>
      <div className="grid gap-4 lg:grid-cols-2">
        <div className="min-w-0">
          <PourPicture fluid={fluid} look={look} temperatureC={reading.moment.temperatureC} />
        </div>
        <PourBeside near={near} except={id} />
      </div>
      <section aria-label="It could be this, or this" className="mt-4 border-rule-soft border-t pt-3">
        <h3 className="font-sans text-[1rem] font-semibold">It could be this, or this</h3>
        <p className="text-[13.5px] text-mute">Eight batches in ten lie between the two ends, after 30 s.</p>
        <ul className="mt-1 grid grid-cols-3 gap-4">
          {(
            [
              ['thin end', thin],
              ['as predicted', middle],
              ['thick end', thick],
            ] as const
          ).map(([name, mm]) => (
            <li key={name} className="text-center">
              <Puddle
                diameterMm={mm}
                colour={colour}
                shine={shine}
                label={`${name}: ${millimetres(Math.round(mm))}`}
                className="w-full"
              />
              <span className="text-mute">{name}</span> <span className="read">{millimetres(Math.round(mm))}</span>
            </li>
          ))}
        </ul>
      </section>
    </Sheet>
  );
}
