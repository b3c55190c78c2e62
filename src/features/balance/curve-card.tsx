'use client';

import { Radio, RadioGroup } from '@headlessui/react';
import { useMemo } from 'react';
import { resistance, SLOW_STIR } from '@/core/flow/casson';
import { resistanceCurve } from '@/core/predict/curve';
import type { MomentReading, Prediction } from '@/core/predict/formula';
import { linearDoubt } from '@/core/predict/linear-doubt';
import type { Doubt } from '@/core/predict/monte-carlo';
import { chocolateColour } from '@/core/shine/colour';
import { type ChartGate, type ChartPoint, ResistanceChart } from '@/ui/resistance-chart';
import { momentTitle } from './cook-words';
import { firstBand } from './first-band';
import type { Predicted } from './use-formula';

/** Resting times the curve can be drawn for, h. */
const RESTS = [
  { hours: 0.3, label: 'fresh' },
  { hours: 4, label: '4 h' },
  { hours: 24, label: '24 h' },
] as const;

/** The resistance at which a flow gate's edge lies, given the viscosity the batch has then. */
function edgePa(quantity: string, edge: number | undefined, reading: MomentReading): number | undefined {
  if (edge === undefined || edge <= 0) return undefined;
  if (quantity === 'apparentViscosityPaS') return SLOW_STIR * edge;
  if (quantity === 'yieldStressPa') return resistance(edge, reading.state.flow.plasticViscosityPaS);
  return edge;
}

/** All flow gates of one moment as one band: what passes every one of them. */
function gateOf(reading: MomentReading, prediction: Prediction): ChartGate | undefined {
  const gates = prediction.gates.filter(
    (gate) => gate.moment === reading.moment.name && gate.quantity !== 'shine' && gate.quantity !== 'waterActivity',
  );
  if (gates.length === 0) return undefined;
  const lows = gates.flatMap((gate) => edgePa(gate.quantity, gate.low, reading) ?? []);
  const highs = gates.flatMap((gate) => edgePa(gate.quantity, gate.high, reading) ?? []);
  return {
    name: `${momentTitle(reading.moment.name)}`,
    temperatureC: reading.moment.temperatureC,
    lowPa: lows.length > 0 ? Math.max(...lows) : undefined,
    highPa: highs.length > 0 ? Math.min(...highs) : undefined,
    side: gates.find((gate) => !gate.lands)?.side ?? 0,
  };
}

function pointOf(reading: MomentReading, prediction: Prediction): ChartPoint {
  const missed = prediction.gates.find(
    (gate) =>
      gate.moment === reading.moment.name &&
      !gate.lands &&
      gate.quantity !== 'shine' &&
      gate.quantity !== 'waterActivity',
  );
  return {
    name: momentTitle(reading.moment.name),
    temperatureC: reading.moment.temperatureC,
    resistancePa: reading.state.flow.resistancePa,
    side: missed?.side ?? 0,
  };
}

/** The curve through the gates, with the choice of how long it has rested. */
export function CurveCard({
  predicted,
  doubt,
  rested,
  onRested,
  before,
}: {
  predicted: Predicted;
  /** the full drawing for this formula and rest, once it is there */
  doubt: Doubt | undefined;
  /** h the curve has rested at each temperature */
  rested: number;
  onRested: (hours: number) => void;
  /** the prediction before the last balance, drawn as a ghost */
  before: Prediction | undefined;
}) {
  const { prediction, formula } = predicted;
  const curve = useMemo(() => resistanceCurve(prediction.batch, rested), [prediction, rested]);
  const band = useMemo(
    () => doubt?.curve ?? firstBand(curve, linearDoubt(formula, rested)),
    [doubt, curve, formula, rested],
  );
  const ghost = useMemo(() => before && resistanceCurve(before.batch, rested), [before, rested]);
  return (
    <section aria-label="Through the gates">
      <div className="mb-2 flex items-center justify-between gap-3">
        <div className="flex items-baseline gap-3">
          <h2 className="text-[1.2rem]">Through the gates</h2>
          <span className="hidden text-[13px] text-mute xl:inline">resistance to the spoon</span>
        </div>
        <RadioGroup
          value={rested}
          onChange={onRested}
          aria-label="Rested at each temperature"
          className="flex shrink-0 items-center gap-1 whitespace-nowrap text-[13px]"
        >
          <span className="hidden pr-1 text-mute lg:inline">rested</span>
          {RESTS.map(({ hours, label }) => (
            <Radio
              key={hours}
              value={hours}
              className="flex min-h-11 cursor-pointer items-center rounded-md border border-transparent px-2.5 data-checked:border-rule data-checked:bg-sheet data-checked:font-semibold"
            >
              {label}
            </Radio>
          ))}
        </RadioGroup>
      </div>
      <div className="overflow-hidden rounded-xl border border-rule bg-sheet">
        <ResistanceChart
          curve={curve}
          band={band}
          before={ghost}
          gates={prediction.moments.flatMap((reading) => gateOf(reading, prediction) ?? [])}
          points={prediction.moments.map((reading) => pointOf(reading, prediction))}
          colour={chocolateColour(prediction.batch.mixture)}
        />
      </div>
    </section>
  );
}
