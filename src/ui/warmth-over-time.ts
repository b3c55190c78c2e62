import type { ApexOptions } from 'apexcharts';
import { chartNonce } from './chart-nonce';
import { degrees } from './format';
import { later } from './later';

/** A chart that comes once the page rests. */
export const LineChart = later(() => import('react-apexcharts').then((chart) => chart.default));

export const CHART_LABEL = { fontSize: '13px', fontFamily: 'inherit' };
/** °C between the marks of the warmth. */
const MARKS_C = 20;

/** What every chart of warmth over time has: a still picture, its axes and their words. */
export function warmthOverTime({
  leastC = 0,
  mostC = 120,
  mostMinutes,
  times,
  timeWord,
}: {
  /** both are brought out to the next mark */
  leastC?: number;
  mostC?: number;
  mostMinutes?: number;
  /** marks of the time, and what stands at one */
  times: number;
  timeWord: (minutes: number) => string;
}): ApexOptions {
  const [least, most] = [Math.floor(leastC / MARKS_C) * MARKS_C, Math.ceil(mostC / MARKS_C) * MARKS_C];
  return {
    chart: {
      type: 'line',
      animations: { enabled: false },
      toolbar: { show: false },
      zoom: { enabled: false },
      ...({ nonce: chartNonce() } as object),
    },
    legend: { show: false },
    tooltip: { enabled: false },
    grid: { borderColor: 'var(--color-rule)' },
    xaxis: {
      type: 'numeric',
      min: 0,
      ...(mostMinutes === undefined ? {} : { max: mostMinutes }),
      tickAmount: times,
      labels: { style: CHART_LABEL, formatter: (value: string) => timeWord(Number(value)) },
      tooltip: { enabled: false },
    },
    yaxis: {
      min: least,
      max: most,
      tickAmount: (most - least) / MARKS_C,
      labels: { style: CHART_LABEL, formatter: (value: number) => degrees(Math.round(value)) },
    },
  };
}
