'use client';

import type { ApexOptions } from 'apexcharts';
import { useMemo } from 'react';
import { numeral } from '@/ui/settings/numerals';
import { LineChart, warmthOverTime } from '@/ui/warmth-over-time';
import type { Cook } from './use-cook';

/** The step that is worked on: as it is reckoned, and as it was read, min since it began. */
function seriesOf({ cooked, state }: Cook, place: number) {
  const followed = cooked.method.followed[place];
  const begunMs = state.steps[place]?.startedMs ?? state.steps[place]?.begunMs;
  if (!followed || begunMs === undefined) return undefined;
  const reckoned = followed.curve.map(([s, t]) => ({
    x: (s - followed.start.seconds) / 60,
    y: Math.round(t * 10) / 10,
  }));
  const read = state.temperatures
    .filter(({ ms }) => ms >= begunMs)
    .map(({ ms, temperatureC }) => ({ x: (ms - begunMs) / 60_000, y: temperatureC }));
  return { reckoned, read };
}

/** Reckoned and read warmth of this step on one chart; nothing while nothing is read. */
export function WarmthChart({ cook, place }: { cook: Cook; place: number }) {
  const series = useMemo(() => seriesOf(cook, place), [cook, place]);
  const options = useMemo((): ApexOptions => {
    const warmths = series ? [...series.reckoned, ...series.read].map(({ y }) => y) : [];
    return {
      ...warmthOverTime({
        leastC: Math.min(...warmths, 20),
        mostC: Math.max(...warmths, 40),
        times: 4,
        timeWord: (minutes) => `${numeral(minutes, 1)} min`,
      }),
      stroke: { width: [3, 2], curve: 'straight', dashArray: [5, 0] },
      markers: { size: [0, 4] },
      colors: ['var(--color-pour-drawn)', 'var(--color-enamel)'],
    };
  }, [series]);
  if (!series || series.read.length === 0) return null;
  return (
    <figure className="mt-2" data-testid="warmth-chart">
      <LineChart
        type="line"
        height={170}
        width="100%"
        options={options}
        series={[
          { name: 'reckoned', data: series.reckoned },
          { name: 'read', data: series.read },
        ]}
      />
      <figcaption className="text-[13px] text-mute">Dashed as reckoned, dots as read.</figcaption>
    </figure>
  );
}
