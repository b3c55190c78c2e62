'use client';

import { memo, type PointerEvent, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { CURVE_FROM_C, CURVE_TO_C, type ResistanceCurve } from '@/core/predict/curve';
import { BOTTOM, HEIGHT, LEFT, type Plot, TOP, temperatureAt, xOf, yOf } from './chart-geometry';
import {
  type ChartGate,
  type ChartPoint,
  GateMark,
  MoreMark,
  PointMark,
  placeNames,
  Reading,
  Scales,
} from './chart-marks';
import { moveLines } from './chart-paths';
import { type ChartBand, type ChartOther, chartOptions, seriesOf } from './chart-series';
import { celsius, significant } from './format';
import { GateHandles } from './gate-handles';
import { nearestLandmark } from './landmarks';
import { later } from './later';
import { useSettled } from './use-settled';

export type { ChartGate, ChartPoint } from './chart-marks';
export type { ChartBand, ChartOther } from './chart-series';

/** Drawn anew only when what it is given has changed: it compares all its data each time it is asked. */
const Chart = memo(later(() => import('react-apexcharts').then((chart) => chart.default)));

/** Rest after the last edit before the chart itself is drawn anew, ms. */
const SETTLE_MS = 140;

const NO_OTHERS: readonly ChartOther[] = [];

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

  const options = useMemo(() => chartOptions(setPlot), []);
  const figure = useRef<HTMLElement>(null);
  const series = useMemo(() => seriesOf(curve, band, before, others), [curve, band, before, others]);
  const settled = useSettled(series, SETTLE_MS) ?? series;
  useLayoutEffect(() => {
    if (figure.current && plot) moveLines(figure.current, series, plot);
  }, [series, plot]);

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
          <Marks gates={gates} points={points} plot={plot} colour={colour} />
          {readingC !== undefined && <Reading curve={curve} temperatureC={readingC} plot={plot} />}
        </svg>
      )}
      {plot && gates.map((gate) => <GateHandles key={`${gate.name} handles`} gate={gate} plot={plot} />)}
      {others.length > 0 && <OthersNamed others={others} />}
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

/** The gates and the moments in the plot. */
function Marks({
  gates,
  points,
  plot,
  colour,
}: {
  gates: readonly ChartGate[];
  points: readonly ChartPoint[];
  plot: Plot;
  colour: string;
}) {
  const names = placeNames(gates, plot);
  return (
    <>
      {gates.map((gate, i) => {
        const nameAt = names[i];
        return nameAt && <GateMark key={`${gate.name}${gate.temperatureC}`} gate={gate} nameAt={nameAt} plot={plot} />;
      })}
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
    </>
  );
}

/** Whose the other curves are. */
function OthersNamed({ others }: { others: readonly ChartOther[] }) {
  return (
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
  );
}
