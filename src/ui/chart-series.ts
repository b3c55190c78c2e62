import type { ApexOptions } from 'apexcharts';
import { nth } from '@/core/nth';
import { CURVE_FROM_C, CURVE_TO_C, type ResistanceCurve } from '@/core/predict/curve';
import { HIGHEST, LOWEST, level, type Plot } from './chart-geometry';
import { chartNonce } from './chart-nonce';

/** Between what eight batches in ten fall, at each temperature of the curve. */
export interface ChartBand {
  readonly temperatureC: Float64Array;
  readonly lowPa: Float64Array;
  readonly highPa: Float64Array;
}

/** Another curve to compare with. */
export interface ChartOther {
  readonly name: string;
  readonly curve: ResistanceCurve;
}

/** An ink edge keeps a white glaze's curve visible on the sheet; the pour's own colour comes by style, so that the chart need not be built anew. */
const INK = '#182022';
const MUTE = '#56646a';
const ENAMEL = '#1b3fd0';

const round3 = (value: number) => Math.round(value * 1000) / 1000;

function lineData(curve: ResistanceCurve) {
  return Array.from(curve.temperatureC, (t, i) => ({
    x: -round3(t),
    y: round3(level(nth(curve.resistancePa, i))),
  }));
}

function bandData({ temperatureC, lowPa, highPa }: ChartBand) {
  return Array.from(temperatureC, (t, i) => ({
    x: -round3(t),
    y: [round3(level(nth(lowPa, i))), round3(level(nth(highPa, i)))],
  }));
}

/** What is drawn: the doubt, the state before, others to compare with, the curve on its edge. */
export function seriesOf(
  curve: ResistanceCurve,
  band: ChartBand,
  before: ResistanceCurve | undefined,
  others: readonly ChartOther[],
) {
  const line = lineData(curve);
  return [
    { name: 'Doubt', type: 'rangeArea', data: bandData(band) },
    { name: 'Before', type: 'line', data: before ? lineData(before) : [] },
    { name: 'First', type: 'line', data: others[0] ? lineData(others[0].curve) : [] },
    { name: 'Second', type: 'line', data: others[1] ? lineData(others[1].curve) : [] },
    { name: 'Edge', type: 'line', data: line },
    { name: 'Resistance', type: 'line', data: line },
  ];
}

/** Where the plot stands in its chart, read from the chart once it is drawn. */
function plotOf(chart: { el: HTMLElement }): Plot | undefined {
  const area = chart.el.querySelector('.apexcharts-inner');
  const grid = chart.el.querySelector('.apexcharts-grid rect, .apexcharts-grid-borders');
  if (!area || !grid || chart.el.getBoundingClientRect().width === 0) return undefined;
  const { globals } = (chart as unknown as { w: { globals: Record<string, number> } }).w;
  const { translateX: left, translateY: top, gridWidth: width, gridHeight: height } = globals;
  const plot = { left, top, width, height };
  return Object.values(plot).every(Number.isFinite) ? (plot as Plot) : undefined;
}

/** How the chart is drawn. `onPlot` is told where its plot stands, whenever that changes. */
export function chartOptions(onPlot: (change: (now: Plot | undefined) => Plot | undefined) => void): ApexOptions {
  const measure = (chart: { el: HTMLElement }) => {
    const next = plotOf(chart);
    if (next) onPlot((now) => (now && JSON.stringify(now) === JSON.stringify(next) ? now : next));
  };
  return {
    chart: {
      type: 'rangeArea',
      animations: { enabled: false },
      toolbar: { show: false },
      zoom: { enabled: false },
      selection: { enabled: false },
      parentHeightOffset: 0,
      ...({ nonce: chartNonce() } as object),
      events: { mounted: measure, updated: measure },
    },
    colors: [MUTE, MUTE, ENAMEL, MUTE, INK, INK],
    stroke: { curve: 'straight', width: [0, 1.6, 2, 2, 4.4, 3], dashArray: [0, 5, 7, 2, 0, 0], lineCap: 'butt' },
    fill: { type: 'solid', opacity: [0.17, 1, 1, 1, 1, 1] },
    markers: { size: 0, hover: { size: 0 } },
    dataLabels: { enabled: false },
    legend: { show: false },
    tooltip: { enabled: false },
    states: { hover: { filter: { type: 'none' } }, active: { filter: { type: 'none' } } },
    grid: { show: false, padding: { left: 0, right: 0, top: -22, bottom: 0 } },
    xaxis: {
      type: 'numeric',
      min: -CURVE_FROM_C,
      max: -CURVE_TO_C,
      labels: { show: false },
      axisBorder: { show: false },
      axisTicks: { show: false },
      crosshairs: { show: false },
      tooltip: { enabled: false },
    },
    yaxis: {
      min: LOWEST,
      max: HIGHEST,
      labels: { show: false },
      axisBorder: { show: false },
      axisTicks: { show: false },
      crosshairs: { show: false },
    },
  };
}
