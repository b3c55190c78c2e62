'use client';

import type { ApexOptions } from 'apexcharts';
import { useMemo } from 'react';
import { dayPath } from '@/core/predict/day-path';
import type { Prediction } from '@/core/predict/formula';
import { chartNonce } from '@/ui/chart-nonce';
import { momentTitle } from '@/ui/cook-words';
import { celsius, hours, significant } from '@/ui/format';
import { LANDMARKS, nearestLandmark } from '@/ui/landmarks';
import { later } from '@/ui/later';

const Chart = later(() => import('react-apexcharts').then((chart) => chart.default));

const LOWEST = -1.8;
const HIGHEST = 5.5;
const LABEL = { fontSize: '12.5px', fontFamily: 'inherit' };
/** Time runs by its root: the first minutes matter as much as the last hours. */
const along = (h: number) => Math.sqrt(h);

function landmarkAt(level: number): string {
  const near = LANDMARKS.find(({ resistancePa }) => Math.abs(Math.log10(resistancePa) - level) < 0.26);
  return near?.name ?? '';
}

/** The resistance along the day: pan → pour → bench → fridge, as the moments follow each other. */
export function DayChart({ prediction }: { prediction: Prediction }) {
  const path = useMemo(
    () =>
      dayPath(
        prediction.batch,
        prediction.moments.map(({ moment }) => moment),
      ),
    [prediction],
  );
  const options = useMemo<ApexOptions>(
    () => ({
      chart: {
        type: 'line',
        animations: { enabled: false },
        toolbar: { show: false },
        zoom: { enabled: false },
        ...({ nonce: chartNonce() } as object),
      },
      stroke: { width: 3, curve: 'straight' },
      colors: ['#3b1f15'],
      legend: { show: false },
      tooltip: { enabled: false },
      xaxis: {
        type: 'numeric',
        tickAmount: 6,
        labels: { rotate: 0, style: LABEL, formatter: (value: string) => hours(Number(value) ** 2) },
        tooltip: { enabled: false },
      },
      yaxis: {
        min: LOWEST,
        max: HIGHEST,
        tickAmount: 14,
        labels: { minWidth: 92, style: LABEL, formatter: landmarkAt },
      },
      annotations: {
        points: path.moments.map(({ name, hours: at, resistancePa }, i) => ({
          x: along(at),
          y: Math.log10(resistancePa),
          marker: { size: 5, fillColor: '#fafcfc', strokeColor: '#182022', strokeWidth: 3 },
          label: {
            text: momentTitle(name),
            // Names stand above and below in turn, so that close moments can be read.
            offsetY: i % 2 === 0 ? 34 : 0,
            textAnchor: i === path.moments.length - 1 ? 'end' : 'middle',
            borderColor: 'transparent',
            style: { ...LABEL, background: 'transparent', color: 'var(--color-ink)' },
          },
        })),
      },
    }),
    [path],
  );
  const series = useMemo(
    () => [
      {
        name: 'Resistance',
        data: Array.from(path.hours, (h, i) => ({ x: along(h), y: Math.log10(path.resistancePa[i] as number) })),
      },
    ],
    [path],
  );
  return (
    <figure data-testid="day-chart">
      <Chart type="line" height={372} width="100%" options={options} series={series} />
      <figcaption className="px-4 pb-3 text-[13px] text-mute">
        Cooling as in a shallow tray, through the moments in their order.{' '}
        {path.moments
          .map(({ name, hours: at, resistancePa }, i) => {
            const temperatureC = prediction.moments[i]?.moment.temperatureC ?? 20;
            return `${momentTitle(name)} after ${hours(at)} (${celsius(temperatureC)}): ${significant(resistancePa)} Pa, like ${nearestLandmark(resistancePa)}.`;
          })
          .join(' ')}
      </figcaption>
    </figure>
  );
}
