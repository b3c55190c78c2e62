'use client';

import { useMemo } from 'react';
import { resistance, SLOW_STIR } from '@/core/flow/casson';
import { curveClimates, resistanceCurve } from '@/core/predict/curve';
import { linearDoubt } from '@/core/predict/linear-doubt';
import type { Doubt } from '@/core/predict/monte-carlo';
import type { MomentReading, Prediction } from '@/core/predict/predict-formula';
import type { MomentChange } from '@/core/predict/sensitivity';
import { chocolateColour } from '@/core/shine/colour';
import type { Predicted } from '@/kitchen/known-pan';
import { momentTitle } from '@/ui/moment-words';
import { type ChartGate, type ChartPoint, ResistanceChart } from '@/ui/resistance-chart';
import type { Edit } from '../draft/edit';
import { FLOW_QUANTITIES } from '../draft/gate-edits';
import { firstBand } from './first-band';

/** The resistance at which a flow gate's edge lies, given the viscosity the batch has then. */
function edgePa(quantity: string, edge: number | undefined, reading: MomentReading): number | undefined {
  if (edge === undefined || edge <= 0) return undefined;
  if (quantity === 'apparentViscosityPaS') return SLOW_STIR * edge;
  if (quantity === 'yieldStressPa') return resistance(edge, reading.state.flow.plasticViscosityPaS);
  return edge;
}

/** {@link edgePa} read backwards: the edge of a quantity at a resistance. */
function edgeAt(quantity: string, pa: number, reading: MomentReading): number {
  if (quantity === 'apparentViscosityPaS') return pa / SLOW_STIR;
  if (quantity !== 'yieldStressPa') return pa;
  const root = Math.sqrt(pa) - Math.sqrt(SLOW_STIR * reading.state.flow.plasticViscosityPaS);
  return Math.max(root, 0.05) ** 2;
}

/** All flow gates of one moment as one band: what passes every one of them. Its edges move the gates they come from. */
function gateOf(reading: MomentReading, prediction: Prediction, edit: (edit: Edit) => void): ChartGate | undefined {
  const gates = prediction.gates.flatMap((gate, index) =>
    gate.moment === reading.moment.name && FLOW_QUANTITIES.has(gate.quantity) ? [{ gate, index }] : [],
  );
  if (gates.length === 0) return undefined;
  const binding = (edge: 'low' | 'high') =>
    gates
      .flatMap(({ gate, index }) => {
        const pa = edgePa(gate.quantity, gate[edge], reading);
        return pa === undefined ? [] : [{ pa, gate, index }];
      })
      .sort((a, b) => (edge === 'low' ? b.pa - a.pa : a.pa - b.pa))[0];
  const move = (edge: 'low' | 'high') => {
    const bound = binding(edge);
    return (
      bound &&
      ((pa: number) =>
        edit({ type: 'gateEdge', gate: bound.index, edge, value: edgeAt(bound.gate.quantity, pa, reading) }))
    );
  };
  return {
    name: momentTitle(reading.moment.name),
    temperatureC: reading.moment.temperatureC,
    lowPa: binding('low')?.pa,
    highPa: binding('high')?.pa,
    side: gates.find(({ gate }) => !gate.lands)?.gate.side ?? 0,
    onLow: move('low'),
    onHigh: move('high'),
    onShift: (factor, deltaC) => edit({ type: 'shiftGate', moment: reading.moment.name, factor, deltaC }),
  };
}

function pointOf(reading: MomentReading, prediction: Prediction, more: MomentChange | undefined): ChartPoint {
  const missed = prediction.gates.find(
    (gate) => gate.moment === reading.moment.name && !gate.lands && FLOW_QUANTITIES.has(gate.quantity),
  );
  return {
    name: momentTitle(reading.moment.name),
    temperatureC: reading.moment.temperatureC,
    resistancePa: reading.state.flow.resistancePa,
    side: missed?.side ?? 0,
    moreFactor: more && Math.exp(more.byQuantity.resistancePa),
  };
}

/** A formula or version to compare with: what it is called and its prediction. */
export interface Compared {
  readonly name: string;
  readonly prediction: Prediction;
}

/** The curve through the gates against temperature. */
export function CurveView({
  predicted,
  doubt,
  rested,
  previous,
  more,
  compared,
  kitchenC,
  edit,
}: {
  predicted: Predicted;
  /** the full drawing for this formula and rest, once it is there */
  doubt: Doubt | undefined;
  /** h the curve has rested at each temperature */
  rested: number;
  /** the state before the last change, drawn as a ghost */
  previous: Prediction | undefined;
  /** what a little more of the row whose drawer is open would change */
  more: readonly MomentChange[] | undefined;
  /** at most two */
  compared: readonly Compared[];
  kitchenC: number;
  edit: (edit: Edit) => void;
}) {
  const { prediction, formula } = predicted;
  const climates = useMemo(() => curveClimates(rested), [rested]);
  const curve = useMemo(() => resistanceCurve(prediction.batch, climates), [prediction, climates]);
  const band = useMemo(
    () => doubt?.curve ?? firstBand(curve, linearDoubt(formula, rested)),
    [doubt, curve, formula, rested],
  );
  const ghost = useMemo(() => previous && resistanceCurve(previous.batch, climates), [previous, climates]);
  const others = useMemo(
    () => compared.map((other) => ({ name: other.name, curve: resistanceCurve(other.prediction.batch, climates) })),
    [compared, climates],
  );
  return (
    <>
      <ResistanceChart
        curve={curve}
        band={band}
        before={ghost}
        others={others}
        gates={prediction.moments.flatMap((reading) => gateOf(reading, prediction, edit) ?? [])}
        points={prediction.moments.map((reading, m) => pointOf(reading, prediction, more?.[m]))}
        colour={chocolateColour(prediction.batch.mixture)}
        kitchenC={kitchenC}
      />
      <p className="px-3 pb-2 text-[12.5px] text-mute">
        Thin below, thick above. Each band is a gate: what the job asks at that warmth. Drag its edges to move it.
      </p>
    </>
  );
}
