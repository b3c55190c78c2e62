'use client';

import type { ApexOptions } from 'apexcharts';
import dynamic from 'next/dynamic';
import { type PointerEvent, useMemo, useState } from 'react';
import { CURVE_FROM_C, CURVE_TO_C, type ResistanceCurve } from '@/core/predict/curve';
import { celsius, significant } from './format';
import { LANDMARKS, nearestLandmark } from './landmarks';

const Chart = dynamic(() => import('react-apexcharts'), { ssr: false });

/** A gate on the curve: a band of resistance at one temperature. */
export interface ChartGate {
  readonly name: string;
  readonly temperatureC: number;
  readonly lowPa: number | undefined;
  readonly highPa: number | undefined;
  /** -1 too loose, 0 passed, 1 too stiff */
  readonly side: -1 | 0 | 1;
}

/** A moment as a point. */
export interface ChartPoint {
  readonly name: string;
  readonly temperatureC: number;
  readonly resistancePa: number;
  /** -1 too loose, 0 as wanted or not asked, 1 too stiff */
  readonly side: -1 | 0 | 1;
}

/** Between what eight batches in ten fall, at each temperature of the curve. */
export interface ChartBand {
  readonly temperatureC: Float64Array;
  readonly lowPa: Float64Array;
  readonly highPa: Float64Array;
}

const HEIGHT = 372;
/** An ink edge keeps a white glaze's curve visible on the sheet. */
const INK = '#182022';
const MUTE = '#56646a';
const LOWEST = -1.8;
const HIGHEST = 5.5;
/** Room for the landmarks on the left and the temperatures below, px: the padding of the frame. */
const LEFT = 96;
const BOTTOM = 28;
const TOP = 14;
const GATE_HALF_WIDTH_C = 2.2;
/** Gates closer than this would write over each other, °C. */
const CROWDED_C = 18;

const level = (pa: number) => Math.min(Math.max(Math.log10(Math.max(pa, 1e-6)), LOWEST), HIGHEST);
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

/** The nonce this document was served with: styles the chart adds must carry it, whatever page was opened since. */
function documentNonce(): string | undefined {
  return typeof document === 'undefined'
    ? undefined
    : document.querySelector<HTMLScriptElement>('script[nonce]')?.nonce;
}

function chartOptions(colour: string): ApexOptions {
  return {
    chart: {
      type: 'rangeArea',
      animations: { enabled: false },
      toolbar: { show: false },
      zoom: { enabled: false },
      selection: { enabled: false },
      parentHeightOffset: 0,
      ...({ nonce: documentNonce() } as object),
    },
    colors: [MUTE, MUTE, INK, colour],
    stroke: { curve: 'straight', width: [0, 1.6, 4.4, 3], dashArray: [0, 5, 0, 0], lineCap: 'butt' },
    fill: { type: 'solid', opacity: [0.17, 1, 1, 1] },
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

/** Where the curve's drawing sits inside the card, px; measured from the chart once it is drawn. */
interface Plot {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/** Reads the curve between its points. */
function resistanceAt(curve: ResistanceCurve, temperatureC: number): number {
  const step = (CURVE_FROM_C - CURVE_TO_C) / (curve.temperatureC.length - 1);
  const place = Math.min(Math.max((CURVE_FROM_C - temperatureC) / step, 0), curve.temperatureC.length - 1.001);
  const i = Math.floor(place);
  const [a, b] = [curve.resistancePa[i] as number, curve.resistancePa[i + 1] as number];
  return Math.exp(Math.log(a) + (place - i) * (Math.log(b) - Math.log(a)));
}

/**
 * The curve of resistance to the spoon against temperature, hot on the left, with the model's doubt, the gates it must pass and the moments as
 * points. A finger or pointer on it reads the curve.
 */
export function ResistanceChart({
  curve,
  band,
  before,
  gates,
  points,
  colour,
}: {
  curve: ResistanceCurve;
  band: ChartBand;
  before?: ResistanceCurve | undefined;
  gates: readonly ChartGate[];
  points: readonly ChartPoint[];
  colour: string;
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
      if (host.width > 0 && grid !== undefined) {
        setPlot((now) => (now && JSON.stringify(now) === JSON.stringify(next) ? now : next));
      }
    };
    const base = chartOptions(colour);
    return { ...base, chart: { ...base.chart, events: { mounted: measure, updated: measure } } };
  }, [colour]);

  const series = useMemo(() => {
    const line = lineData(curve);
    return [
      { name: 'Doubt', type: 'rangeArea', data: bandData(band) },
      { name: 'Before', type: 'line', data: before ? lineData(before) : [] },
      { name: 'Edge', type: 'line', data: line },
      { name: 'Resistance', type: 'line', data: line },
    ];
  }, [curve, band, before]);

  const x = (temperatureC: number, p: Plot) =>
    LEFT + p.left + (p.width * (CURVE_FROM_C - temperatureC)) / (CURVE_FROM_C - CURVE_TO_C);
  const y = (pa: number, p: Plot) => TOP + p.top + (p.height * (HIGHEST - level(pa))) / (HIGHEST - LOWEST);

  const onPointer = (event: PointerEvent<SVGSVGElement>) => {
    if (!plot) return;
    const box = event.currentTarget.getBoundingClientRect();
    const along = (event.clientX - box.left - LEFT - plot.left) / plot.width;
    setReadingC(along < 0 || along > 1 ? undefined : CURVE_FROM_C - along * (CURVE_FROM_C - CURVE_TO_C));
  };

  return (
    <figure className="relative" data-testid="resistance-chart">
      <div className="h-[372px] pt-[14px] pr-[14px] pb-[28px] pl-[96px]">
        <Chart type="rangeArea" height={HEIGHT - TOP - BOTTOM} width="100%" options={options} series={series} />
      </div>
      {plot && (
        <svg
          className="absolute inset-0 h-full w-full touch-pan-y"
          aria-hidden="true"
          onPointerMove={onPointer}
          onPointerDown={onPointer}
          onPointerLeave={() => setReadingC(undefined)}
        >
          <Scales plot={plot} x={x} y={y} />
          {gates.map((gate) => (
            <GateMark
              key={`${gate.name}${gate.temperatureC}`}
              gate={gate}
              nameAbove={
                gate.side === -1 ||
                gates.some(
                  (other) =>
                    other.temperatureC < gate.temperatureC && gate.temperatureC - other.temperatureC < CROWDED_C,
                )
              }
              plot={plot}
              x={x}
              y={y}
            />
          ))}
          {points.map((point) => (
            <PointMark
              key={point.name}
              point={point}
              cx={x(point.temperatureC, plot)}
              cy={y(point.resistancePa, plot)}
              colour={colour}
            />
          ))}
          {readingC !== undefined && <Reading curve={curve} temperatureC={readingC} plot={plot} x={x} y={y} />}
        </svg>
      )}
      <figcaption className="sr-only">
        Resistance to the spoon against temperature.{' '}
        {points
          .map(
            (p) =>
              `${p.name}, ${Math.round(p.temperatureC)} °C: ${significant(p.resistancePa)} Pa, like ${nearestLandmark(p.resistancePa)}.`,
          )
          .join(' ')}
      </figcaption>
    </figure>
  );
}

interface OnPlot {
  readonly plot: Plot;
  readonly x: (temperatureC: number, plot: Plot) => number;
  readonly y: (pa: number, plot: Plot) => number;
}

/** Landmarks on the left, temperatures below. */
function Scales({ plot, x, y }: OnPlot) {
  const right = LEFT + plot.left + plot.width;
  const bottom = TOP + plot.top + plot.height;
  return (
    <g className="text-[12px]">
      {LANDMARKS.map(({ resistancePa, name }) => (
        <g key={name}>
          <line
            x1={LEFT + plot.left}
            x2={right}
            y1={y(resistancePa, plot)}
            y2={y(resistancePa, plot)}
            stroke="var(--color-rule-soft)"
          />
          <text x={LEFT + plot.left - 8} y={y(resistancePa, plot) + 4} textAnchor="end" fill="var(--color-mute)">
            {name}
          </text>
        </g>
      ))}
      {[60, 50, 40, 30, 20, 10, 4].map((t) => (
        <g key={t}>
          <line x1={x(t, plot)} x2={x(t, plot)} y1={TOP + plot.top} y2={bottom} stroke="var(--color-rule-soft)" />
          <text x={x(t, plot)} y={bottom + 18} textAnchor="middle" fill="var(--color-mute)" className="read">
            {t}°
          </text>
        </g>
      ))}
      <line x1={LEFT + plot.left} x2={right} y1={bottom} y2={bottom} stroke="var(--color-rule)" />
    </g>
  );
}

/** Two bars and a wash between them; the name with ✓ or which way it is off. */
function GateMark({ gate, nameAbove, plot, x, y }: OnPlot & { gate: ChartGate; nameAbove: boolean }) {
  const left = x(Math.min(gate.temperatureC + GATE_HALF_WIDTH_C, CURVE_FROM_C), plot);
  const right = x(Math.max(gate.temperatureC - GATE_HALF_WIDTH_C, CURVE_TO_C), plot);
  const top = gate.highPa === undefined ? TOP + plot.top : y(gate.highPa, plot);
  const bottom = gate.lowPa === undefined ? TOP + plot.top + plot.height : y(gate.lowPa, plot);
  const colour = gate.side === 0 ? 'var(--color-enamel)' : 'var(--color-off)';
  const name = `${gate.name} ${gate.side === 0 ? '✓' : '✕'}`;
  const nearRightEdge = right > LEFT + plot.left + plot.width - 60;
  return (
    <g>
      <rect x={left} y={top} width={right - left} height={Math.max(bottom - top, 1)} fill={colour} fillOpacity={0.09} />
      {gate.highPa !== undefined && (
        <line x1={left - 4} x2={right + 4} y1={top} y2={top} stroke={colour} strokeWidth={2.5} />
      )}
      {gate.lowPa !== undefined && (
        <line x1={left - 4} x2={right + 4} y1={bottom} y2={bottom} stroke={colour} strokeWidth={2.5} />
      )}
      <text
        x={nearRightEdge ? right + 4 : (left + right) / 2}
        y={nameAbove ? Math.max(top - 8, TOP + plot.top + 12) : bottom + 16}
        textAnchor={nearRightEdge ? 'end' : 'middle'}
        fill={colour}
        stroke="var(--color-sheet)"
        strokeWidth={4}
        paintOrder="stroke"
        className="font-semibold text-[12.5px]"
      >
        {name}
      </text>
    </g>
  );
}

/** Round in its gate, a diamond with a pointer out of it. */
function PointMark({ point, cx, cy, colour }: { point: ChartPoint; cx: number; cy: number; colour: string }) {
  if (point.side === 0) {
    return <circle cx={cx} cy={cy} r={5.5} fill="var(--color-sheet)" stroke={colour} strokeWidth={3} />;
  }
  const tip = point.side === 1 ? -16 : 16;
  const base = point.side === 1 ? -10 : 10;
  return (
    <g>
      <path
        d={`M ${cx - 8} ${cy} L ${cx} ${cy - 8} L ${cx + 8} ${cy} L ${cx} ${cy + 8} Z`}
        fill="var(--color-sheet)"
        stroke="var(--color-off)"
        strokeWidth={3}
      />
      <path d={`M ${cx - 4} ${cy + base} L ${cx + 4} ${cy + base} L ${cx} ${cy + tip} Z`} fill="var(--color-off)" />
    </g>
  );
}

/** Temperature, resistance and landmark under the pointer. */
function Reading({ curve, temperatureC, plot, x, y }: OnPlot & { curve: ResistanceCurve; temperatureC: number }) {
  const pa = resistanceAt(curve, temperatureC);
  const cx = x(temperatureC, plot);
  const toLeft = cx > LEFT + plot.left + plot.width - 190;
  return (
    <g>
      <line
        x1={cx}
        x2={cx}
        y1={TOP + plot.top}
        y2={TOP + plot.top + plot.height}
        stroke="var(--color-mute)"
        strokeDasharray="2 3"
      />
      <circle cx={cx} cy={y(pa, plot)} r={3.5} fill="var(--color-ink)" />
      <text
        x={toLeft ? cx - 8 : cx + 8}
        y={TOP + plot.top + 14}
        textAnchor={toLeft ? 'end' : 'start'}
        stroke="var(--color-sheet)"
        strokeWidth={4}
        paintOrder="stroke"
        className="text-[12.5px]"
      >
        <tspan className="read">{celsius(temperatureC)}</tspan>
        {`, ${significant(pa)} Pa, like ${nearestLandmark(pa)}`}
      </text>
    </g>
  );
}
