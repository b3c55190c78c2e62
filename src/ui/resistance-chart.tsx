'use client';

import type { ApexOptions } from 'apexcharts';
import { memo, type PointerEvent, useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { CURVE_FROM_C, CURVE_TO_C, type ResistanceCurve } from '@/core/predict/curve';
import {
  BOTTOM,
  HEIGHT,
  HIGHEST,
  LEFT,
  LOWEST,
  level,
  type Plot,
  TOP,
  temperatureAt,
  xOf,
  yOf,
} from './chart-geometry';
import {
  type ChartGate,
  type ChartPoint,
  GateMark,
  MoreMark,
  type NamePlace,
  PointMark,
  placeNames,
  Reading,
  Scales,
} from './chart-marks';
import { chartNonce } from './chart-nonce';
import { moveLines } from './chart-paths';
import { celsius, significant } from './format';
import { GateHandles } from './gate-handles';
import { nearestLandmark } from './landmarks';
import { later } from './later';

export type { ChartGate, ChartPoint } from './chart-marks';

/** Drawn anew only when what it is given has changed: it compares all its data each time it is asked. */
const Chart = memo(later(() => import('react-apexcharts').then((chart) => chart.default)));

/** Between what eight batches in ten fall, at each temperature of the curve. */
export interface ChartBand {
  readonly temperatureC: Float64Array;
  readonly lowPa: Float64Array;
  readonly highPa: Float64Array;
}

/** An ink edge keeps a white glaze's curve visible on the sheet; the pour's own colour comes by style, so that the chart need not be built anew. */
const INK = '#182022';
const MUTE = '#56646a';
const ENAMEL = '#1b3fd0';

const round3 = (value: number) => Math.round(value * 1000) / 1000;

function lineData(curve: ResistanceCurve) {
  return Array.from(curve.temperatureC, (t, i) => ({
    x: -round3(t),
    y: round3(level(curve.resistancePa[i] as number)),
  }));
}

function bandData({ temperatureC, lowPa, highPa }: ChartBand) {
  return Array.from(temperatureC, (t, i) => ({
    x: -round3(t),
    y: [round3(level(lowPa[i] as number)), round3(level(highPa[i] as number))],
  }));
}

/** Rest after the last edit before the chart itself is drawn anew, ms. */
const SETTLE_MS = 140;

/** A value once it has stood for a while; the first one at once. */
function useSettled<T>(value: T, afterMs: number): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), afterMs);
    return () => clearTimeout(timer);
  }, [value, afterMs]);
  return settled;
}

/** Another curve to compare with. */
export interface ChartOther {
  readonly name: string;
  readonly curve: ResistanceCurve;
}

const NO_OTHERS: readonly ChartOther[] = [];

function chartOptions(): ApexOptions {
  return {
    chart: {
      type: 'rangeArea',
      animations: { enabled: false },
      toolbar: { show: false },
      zoom: { enabled: false },
      selection: { enabled: false },
      parentHeightOffset: 0,
      ...({ nonce: chartNonce() } as object),
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

/**
 * The curve of resistance to the spoon against temperature, hot on the left, with the model's doubt, the gates it must pass and the moments as
 * points. A finger or pointer on it reads the curve.
 */
export function ResistanceChart({
  curve,
  band,
  before,
  others = NO_OTHERS,
  gates,
  points,
  colour,
  kitchenC,
}: {
  curve: ResistanceCurve;
  band: ChartBand;
  /** the state before the last change, as a ghost */
  before?: ResistanceCurve | undefined;
  /** up to two curves to compare with */
  others?: readonly ChartOther[] | undefined;
  gates: readonly ChartGate[];
  points: readonly ChartPoint[];
  colour: string;
  kitchenC?: number | undefined;
}) {
  const [plot, setPlot] = useState<Plot | undefined>();
  const [readingC, setReadingC] = useState<number | undefined>();

  const options = useMemo<ApexOptions>(() => {
    const measure = (chart: { el: HTMLElement }) => {
      const area = chart.el.querySelector('.apexcharts-inner');
      const grid = chart.el.querySelector('.apexcharts-grid rect, .apexcharts-grid-borders');
      if (!area) return;
      const host = chart.el.getBoundingClientRect();
      const { globals } = (chart as unknown as { w: { globals: Record<string, number> } }).w;
      const next = {
        left: globals.translateX as number,
        top: globals.translateY as number,
        width: globals.gridWidth as number,
        height: globals.gridHeight as number,
      };
      if (host.width > 0 && grid !== undefined && Object.values(next).every(Number.isFinite)) {
        setPlot((now) => (now && JSON.stringify(now) === JSON.stringify(next) ? now : next));
      }
    };
    const base = chartOptions();
    return { ...base, chart: { ...base.chart, events: { mounted: measure, updated: measure } } };
  }, []);

  const figure = useRef<HTMLElement>(null);
  const series = useMemo(() => {
    const line = lineData(curve);
    return [
      { name: 'Doubt', type: 'rangeArea', data: bandData(band) },
      { name: 'Before', type: 'line', data: before ? lineData(before) : [] },
      { name: 'First', type: 'line', data: others[0] ? lineData(others[0].curve) : [] },
      { name: 'Second', type: 'line', data: others[1] ? lineData(others[1].curve) : [] },
      { name: 'Edge', type: 'line', data: line },
      { name: 'Resistance', type: 'line', data: line },
    ];
  }, [curve, band, before, others]);
  const settled = useSettled(series, SETTLE_MS);
  useLayoutEffect(() => {
    if (figure.current && plot) moveLines(figure.current, series, plot);
  }, [series, plot]);

  const names = plot ? placeNames(gates, plot) : [];
  const onPointer = (event: PointerEvent<SVGSVGElement>) => {
    if (!plot) return;
    const box = event.currentTarget.getBoundingClientRect();
    const at = temperatureAt(event.clientX - box.left, plot);
    setReadingC(at < CURVE_TO_C || at > CURVE_FROM_C ? undefined : at);
  };

  return (
    <figure
      className="pour-chart relative"
      data-testid="resistance-chart"
      ref={(element) => {
        figure.current = element;
        element?.style.setProperty('--pour', colour);
      }}
    >
      {plot && (
        <svg className="pointer-events-none absolute inset-0 h-full w-full" aria-hidden="true">
          <Scales plot={plot} kitchenC={kitchenC} />
        </svg>
      )}
      <div className="relative h-[372px] pt-[14px] pr-[14px] pb-[28px] pl-[96px]">
        <Chart
          type="rangeArea"
          height={HEIGHT - TOP - BOTTOM}
          width="100%"
          options={options}
          series={settled as ApexAxisChartSeries}
        />
      </div>
      {plot && (
        <svg
          className="absolute inset-0 h-full w-full touch-pan-y"
          aria-hidden="true"
          onPointerMove={onPointer}
          onPointerDown={onPointer}
          onPointerLeave={() => setReadingC(undefined)}
        >
          {gates.map((gate, i) => (
            <GateMark key={`${gate.name}${gate.temperatureC}`} gate={gate} nameAt={names[i] as NamePlace} plot={plot} />
          ))}
          {points.map((point) => (
            <PointMark
              key={point.name}
              point={point}
              cx={xOf(point.temperatureC, plot)}
              cy={yOf(point.resistancePa, plot)}
              colour={colour}
            />
          ))}
          {points.map(
            ({ name, temperatureC, resistancePa, moreFactor }) =>
              moreFactor !== undefined && (
                <MoreMark
                  key={`${name} more`}
                  factor={moreFactor}
                  cx={xOf(temperatureC, plot)}
                  cy={yOf(resistancePa, plot)}
                  toLeft={xOf(temperatureC, plot) > LEFT + plot.left + plot.width - 60}
                />
              ),
          )}
          {readingC !== undefined && <Reading curve={curve} temperatureC={readingC} plot={plot} />}
        </svg>
      )}
      {plot && gates.map((gate) => <GateHandles key={`${gate.name} handles`} gate={gate} plot={plot} />)}
      {others.length > 0 && (
        <ul className="absolute top-2 left-[104px] z-10 rounded-md bg-sheet/90 px-2 text-[12.5px]">
          {others.map(({ name }, i) => (
            <li key={name} className="flex items-center gap-2">
              <svg viewBox="0 0 28 6" className="h-1.5 w-7" aria-hidden="true">
                <line
                  x1={0}
                  x2={28}
                  y1={3}
                  y2={3}
                  stroke={i === 0 ? 'var(--color-enamel)' : 'var(--color-mute)'}
                  strokeWidth={2}
                  strokeDasharray={i === 0 ? '7' : '2'}
                />
              </svg>
              {name}
            </li>
          ))}
        </ul>
      )}
      <figcaption className="sr-only">
        Resistance to the spoon against temperature.{' '}
        {points
          .map(
            (p) =>
              `${p.name}, ${celsius(Math.round(p.temperatureC))}: ${significant(p.resistancePa)} Pa, like ${nearestLandmark(p.resistancePa)}.`,
          )
          .join(' ')}
      </figcaption>
    </figure>
  );
}
