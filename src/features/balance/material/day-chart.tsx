'use client';

import type { ApexOptions } from 'apexcharts';
import { useMemo } from 'react';
import { nth } from '@/core/nth';
import { type DayBranch, dayBranches } from '@/core/pan/day-path';
import type { Prediction } from '@/core/predict/predict-formula';
import { chartNonce } from '@/ui/chart-nonce';
import { celsius, centimetres, hours, significant } from '@/ui/format';
import { LANDMARKS, nearestLandmark } from '@/ui/landmarks';
import { later } from '@/ui/later';
import { momentTitle } from '@/ui/moment-words';

const Chart = later(() => import('react-apexcharts').then((chart) => chart.default));

const LOWEST = -1.8;
const HIGHEST = 5.5;
const LABEL = { fontSize: '13.5px', fontFamily: 'inherit' };
/** Lines by their order: told apart by dash and place, not by colour alone. */
const DASHES = [0, 6, 2, 10, 4, 8];
/** Time runs by its root: the first minutes matter as much as the last hours. */
const along = (h: number) => Math.sqrt(h);
/** Times the axis names, h. */
const ROUND_HOURS = [0, 0.25, 1, 2, 4, 8, 12, 24, 48, 96, 168, 336, 720, 1440];
const MOST_TICKS = 8;

function landmarkAt(level: number): string {
  const near = LANDMARKS.find(({ resistancePa }) => Math.abs(Math.log10(resistancePa) - level) < 0.26);
  return near?.name ?? '';
}

const last = (values: Float64Array) => values[values.length - 1] ?? 0;

/** Round hours on the axis, and as far as the longest branch goes. */
function ticksTo(most: number): number[] {
  const upTo = ROUND_HOURS.filter((h) => h <= most * 1.001);
  const step = Math.ceil(upTo.length / MOST_TICKS);
  return upTo.filter((_, i) => i === 0 || (upTo.length - 1 - i) % step === 0);
}

function optionsFor(branches: readonly DayBranch[]): ApexOptions {
  const most = Math.max(...branches.map(({ hours: each }) => last(each)), 0.25);
  return {
    chart: {
      type: 'line',
      animations: { enabled: false },
      toolbar: { show: false },
      zoom: { enabled: false },
      ...({ nonce: chartNonce() } as object),
    },
    stroke: { width: 3, curve: 'straight', dashArray: branches.map((_, i) => DASHES[i % DASHES.length] ?? 0) },
    colors: branches.map(() => 'var(--color-pour-drawn)'),
    legend: { show: false },
    tooltip: { enabled: false },
    // Room for the hours, which are written as annotations.
    grid: { borderColor: 'var(--color-rule)', xaxis: { lines: { show: false } }, padding: { bottom: 20 } },
    xaxis: {
      type: 'numeric',
      min: 0,
      max: along(most) * 1.06,
      labels: { show: false },
      axisTicks: { show: false },
      tooltip: { enabled: false },
    },
    yaxis: {
      min: LOWEST,
      max: HIGHEST,
      tickAmount: 14,
      labels: { minWidth: 92, style: LABEL, formatter: landmarkAt },
    },
    annotations: {
      xaxis: ticksTo(most).map((h) => ({
        x: along(h),
        borderColor: 'var(--color-rule)',
        strokeDashArray: 0,
        label: {
          text: h === 0 ? 'pan' : hours(h),
          orientation: 'horizontal',
          position: 'bottom',
          offsetY: 18,
          borderColor: 'transparent',
          style: { ...LABEL, background: 'transparent', color: 'var(--color-mute)' },
        },
      })),
      points: branches.map(({ moment, hours: each, resistancePa }) => ({
        x: along(last(each)),
        y: Math.log10(last(resistancePa)),
        marker: { size: 5, fillColor: '#fafcfc', strokeColor: '#182022', strokeWidth: 3 },
        label: {
          text: momentTitle(moment.name),
          // The firmest is named above its point, the others below: close moments can be read.
          offsetY: branches.every((other) => last(other.resistancePa) <= last(resistancePa)) ? 0 : 34,
          textAnchor: last(each) > most * 0.6 ? 'end' : 'start',
          borderColor: 'transparent',
          style: { ...LABEL, background: 'transparent', color: 'var(--color-ink)' },
        },
      })),
    },
  };
}

/** What becomes of the batch after the pan: a line to each moment, ending where the moment is judged. */
export function DayChart({ prediction }: { prediction: Prediction }) {
  const branches = useMemo(
    () =>
      dayBranches(
        prediction.batch,
        prediction.moments.map(({ moment }) => moment),
      ),
    [prediction],
  );
  const options = useMemo(() => optionsFor(branches), [branches]);
  const series = useMemo(
    () =>
      branches.map(({ moment, hours: each, resistancePa }) => ({
        name: momentTitle(moment.name),
        data: Array.from(each, (h, i) => ({ x: along(h), y: Math.log10(nth(resistancePa, i)) })),
      })),
    [branches],
  );
  return (
    <figure data-testid="day-chart">
      <Chart type="line" height={372} width="100%" options={options} series={series} />
      <figcaption className="px-4 pb-3 text-[13px] text-mute">
        To each moment as a layer of {centimetres(1)} cools that is poured and left to stand; time runs by its root.{' '}
        {branches
          .map(({ moment, hours: each, resistancePa }) => {
            const pa = last(resistancePa);
            return `${momentTitle(moment.name)} after ${hours(last(each))} (${celsius(moment.temperatureC)}): ${significant(pa)} Pa, like ${nearestLandmark(pa)}.`;
          })
          .join(' ')}
      </figcaption>
    </figure>
  );
}
