import { nth } from '@/core/nth';
import { CURVE_FROM_C, CURVE_TO_C } from '@/core/predict/curve';
import { HIGHEST, LOWEST, type Plot } from './chart-geometry';

/** One series of the chart: a line, or a band between two lines. */
export interface DrawnSeries {
  readonly name: string;
  readonly data: readonly { readonly x: number; readonly y: number | readonly number[] }[];
}

/** A series as the chart's own SVG path, in its inner group. */
function pathOf({ data }: DrawnSeries, plot: Plot): string {
  const point = (x: number, y: number) => {
    const px = (plot.width * (x + CURVE_FROM_C)) / (CURVE_FROM_C - CURVE_TO_C);
    const py = (plot.height * (HIGHEST - y)) / (HIGHEST - LOWEST);
    return `${px.toFixed(2)} ${py.toFixed(2)}`;
  };
  const upper = data.map(({ x, y }) => point(x, typeof y === 'number' ? y : nth(y, 1)));
  const lower = data.flatMap(({ x, y }) => (typeof y === 'number' ? [] : [point(x, nth(y, 0))])).reverse();
  return `M ${[...upper, ...lower].join(' L ')}${lower.length > 0 ? ' Z' : ''}`;
}

/**
 * Moves the chart's lines to new values at once, in the frame of the edit. The chart itself takes many times as long to be drawn
 * anew and follows when the hand rests.
 *
 * @param figure the element the chart is in
 */
export function moveLines(figure: HTMLElement, series: readonly DrawnSeries[], plot: Plot): void {
  for (const each of series) {
    if (each.data.length === 0) continue;
    const path = figure.querySelector<SVGPathElement>(`.apexcharts-series[seriesName="${each.name}"] path`);
    path?.setAttribute('d', pathOf(each, plot));
  }
}
