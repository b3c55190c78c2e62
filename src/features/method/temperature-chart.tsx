'use client';

import type { ApexOptions } from 'apexcharts';
import { useMemo } from 'react';
import type { FollowedStep } from '@/core/method/follow-method';
import { celsius } from '@/ui/format';
import { CHART_LABEL, LineChart, warmthOverTime } from '@/ui/warmth-over-time';
import type { TimedStep } from './timed-steps';

/** °C either way within which it still pours. */
const POUR_WIDTH_C = 2;
/** Names in a label: the steps beside it list them all. */
const MOST_NAMED = 1;

/** Where it pours, which step is looked at, and what goes in when. */
function annotationsOf(
  timed: readonly TimedStep[],
  names: readonly string[],
  pourC: number,
  chosen: number,
): ApexOptions['annotations'] {
  const most = timed.at(-1)?.to ?? 1;
  const goesIn = timed.filter(({ followed }) => followed.additions.length > 0);
  const here = timed.find(({ place }) => place === chosen);
  return {
    yaxis: [
      {
        y: pourC - POUR_WIDTH_C,
        y2: pourC + POUR_WIDTH_C,
        fillColor: 'var(--color-enamel)',
        borderColor: 'transparent',
        opacity: 0.14,
        label: {
          text: 'pours here',
          position: 'right',
          textAnchor: 'end',
          borderColor: 'transparent',
          style: { ...CHART_LABEL, background: 'transparent', color: 'var(--color-enamel)' },
        },
      },
    ],
    xaxis: [
      ...(here
        ? [
            {
              x: here.from,
              x2: Math.max(here.to, here.from + most / 200),
              fillColor: 'var(--color-enamel)',
              borderColor: 'transparent',
              opacity: 0.08,
            },
          ]
        : []),
      ...goesIn.map(({ from, followed }, i) => ({
        x: from,
        borderColor: 'var(--color-mute)',
        strokeDashArray: 3,
        label: {
          text: rowsNamed(followed, names),
          orientation: 'horizontal',
          textAnchor: from > most * 0.45 ? 'end' : 'start',
          offsetY: 4 + 17 * i,
          borderColor: 'transparent',
          style: { ...CHART_LABEL, background: 'transparent', color: 'var(--color-ink)' },
        },
      })),
    ],
  };
}

function optionsFor(
  timed: readonly TimedStep[],
  names: readonly string[],
  pourC: number,
  chosen: number,
  clock: (minutes: number) => string,
): ApexOptions {
  return {
    ...warmthOverTime({ mostMinutes: timed.at(-1)?.to ?? 1, times: 5, timeWord: clock }),
    stroke: { width: 3.4, curve: 'straight' },
    colors: ['var(--color-pour-drawn)'],
    grid: { borderColor: 'var(--color-rule)', xaxis: { lines: { show: false } } },
    annotations: annotationsOf(timed, names, pourC, chosen),
  };
}

/** A name without its figures: `Dark couverture 66 %` is dark couverture. */
const shortName = (name: string) => /^[^\d(,]*[^\d(,\s]/.exec(name)?.[0] ?? name;

/** What goes in, in few words. */
function rowsNamed({ additions }: FollowedStep, names: readonly string[]): string {
  const short = additions.map(({ key }) => shortName(names[Number(key)] ?? ''));
  const more = short.length - MOST_NAMED;
  return more > 0 ? `${short.slice(0, MOST_NAMED).join(', ')} + ${more}` : short.join(', ');
}

/** Temperature against time, with what goes in and where it pours. */
export function TemperatureChart({
  timed,
  names,
  pourC,
  chosen,
  clock,
}: {
  timed: readonly TimedStep[];
  names: readonly string[];
  pourC: number;
  chosen: number;
  /** a time of day, or minutes from the start */
  clock: (minutes: number) => string;
}) {
  const options = useMemo(() => optionsFor(timed, names, pourC, chosen, clock), [timed, names, pourC, chosen, clock]);
  const series = useMemo(
    () => [
      {
        name: 'Temperature',
        data: timed.flatMap(({ points }) => points.map(([x, y]) => ({ x, y: Math.round(y * 10) / 10 }))),
      },
    ],
    [timed],
  );
  return (
    <figure data-testid="temperature-chart">
      <LineChart type="line" height={310} width="100%" options={options} series={series} />
      <figcaption className="sr-only">
        Temperature against time.{' '}
        {timed
          .map(({ followed, to }) => `${Math.round(to)} min: ${celsius(Math.round(followed.end.temperatureC))}.`)
          .join(' ')}
      </figcaption>
    </figure>
  );
}
