'use client';

import { useMemo } from 'react';
import { curveClimates, resistanceCurve } from '@/core/predict/curve';
import { linearDoubt } from '@/core/predict/linear-doubt';
import { chocolateColour } from '@/core/shine/colour';
import type { Predicted } from '@/kitchen/known-pan';
import { ResistanceChart } from '@/ui/resistance-chart';
import { firstBand } from './first-band';

const RESTED_H = 24;
const CLIMATES = curveClimates(RESTED_H);

/** The curve a change would give, with the present one as a ghost. */
export function BeforeAfterCurve({ before, after }: { before: Predicted; after: Predicted }) {
  const was = useMemo(() => resistanceCurve(before.prediction.batch, CLIMATES), [before]);
  const is = useMemo(() => resistanceCurve(after.prediction.batch, CLIMATES), [after]);
  const band = useMemo(() => firstBand(is, linearDoubt(after.formula, RESTED_H)), [is, after]);
  return (
    <div className="mb-3 overflow-hidden rounded-xl border border-rule">
      <ResistanceChart
        curve={is}
        band={band}
        before={was}
        gates={[]}
        points={after.prediction.moments.map(({ moment, state }) => ({
          name: moment.name,
          temperatureC: moment.temperatureC,
          resistancePa: state.flow.resistancePa,
          side: 0,
        }))}
        colour={chocolateColour(after.prediction.batch.mixture)}
      />
    </div>
  );
}
