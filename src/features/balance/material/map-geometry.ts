import { contours } from 'd3-contour';
import type { FieldMap } from '@/core/balance/field-map';

/** The map's drawing: its size and the room around the field. */
export const WIDTH = 560;
export const HEIGHT = 400;
export const LEFT = 62;
const BOTTOM = 46;
export const TOP = 14;
const RIGHT = 14;
export const PLOT = { width: WIDTH - LEFT - RIGHT, height: HEIGHT - TOP - BOTTOM };

/** Where a cell of the grid is drawn. */
export const placeOf = (map: FieldMap, { column, row }: { readonly column: number; readonly row: number }) => ({
  x: LEFT + (column / (map.columns - 1)) * PLOT.width,
  y: TOP + PLOT.height - (row / (map.rows - 1)) * PLOT.height,
});

/** Lines of one level in a grid, as an SVG path over the plot. */
export function contourPath(map: FieldMap, values: Float64Array, level: number): string {
  const [shape] = contours().size([map.columns, map.rows]).thresholds([level])(
    Array.from(values, (value) => (Number.isFinite(value) ? value : 99)),
  );
  if (!shape) return '';
  const x = (column: number) => LEFT + ((column - 0.5) / (map.columns - 1)) * PLOT.width;
  const y = (row: number) => TOP + PLOT.height - ((row - 0.5) / (map.rows - 1)) * PLOT.height;
  return shape.coordinates
    .flatMap((polygon) =>
      polygon.map((ring) => `M${ring.map(([c = 0, r = 0]) => `${x(c).toFixed(1)} ${y(r).toFixed(1)}`).join('L')}Z`),
    )
    .join('');
}
