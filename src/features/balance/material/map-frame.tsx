import { ticks } from 'd3-array';
import type { MapAxis } from '@/core/balance/field-map';
import { grams, significant } from '@/ui/format';
import { shownUnit } from '@/ui/settings/shown-units';
import type { Reach } from './map-axes';
import { HEIGHT, LEFT, PLOT, TOP } from './map-geometry';

/** The empty field, and what is drawn on it. */
export function MapGround() {
  return (
    <>
      <defs>
        <pattern id="risk" width={7} height={7} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1={0} x2={0} y1={0} y2={7} stroke="var(--color-off)" strokeWidth={1.4} strokeOpacity={0.5} />
        </pattern>
        <clipPath id="plot">
          <rect x={LEFT} y={TOP} width={PLOT.width} height={PLOT.height} />
        </clipPath>
      </defs>
      <rect
        x={LEFT}
        y={TOP}
        width={PLOT.width}
        height={PLOT.height}
        fill="var(--color-field)"
        stroke="var(--color-rule)"
      />
    </>
  );
}

/** The figures and names along its sides. */
export function MapAxes({
  axes,
  names,
  reach,
}: {
  axes: readonly [MapAxis, MapAxis];
  names: readonly [string, string];
  reach: readonly [Reach, Reach];
}) {
  const at = (axis: 0 | 1, value: number) => (value - reach[axis][0]) / (reach[axis][1] - reach[axis][0]);
  return (
    <>
      <g className="read text-[12px]" fill="var(--color-mute)">
        {axisTicks(axes[0], reach[0]).map((value) => (
          <text key={value} x={LEFT + at(0, value) * PLOT.width} y={TOP + PLOT.height + 17} textAnchor="middle">
            {axisTick(axes[0], value)}
          </text>
        ))}
        {axisTicks(axes[1], reach[1]).map((value) => (
          <text key={value} x={LEFT - 6} y={TOP + (1 - at(1, value)) * PLOT.height + 4} textAnchor="end">
            {axisTick(axes[1], value)}
          </text>
        ))}
      </g>
      <text
        x={LEFT + PLOT.width / 2}
        y={HEIGHT - 8}
        textAnchor="middle"
        className="text-[12.5px]"
        fill="var(--color-ink)"
      >
        {names[0]} →
      </text>
      <text
        x={LEFT + 8}
        y={TOP + 16}
        className="text-[12.5px]"
        fill="var(--color-ink)"
        stroke="var(--color-field)"
        strokeWidth={4}
        paintOrder="stroke"
      >
        ↑ {names[1]}
      </text>
    </>
  );
}

/** Round places on an axis, in what is shown. */
function axisTicks(axis: MapAxis, [from, to]: Reach): number[] {
  const unit = axis.kind === 'grams' ? shownUnit('g') : undefined;
  return unit ? ticks(unit.toShown(from), unit.toShown(to), 6).map(unit.toKept) : ticks(from, to, 6);
}

const axisTick = (axis: MapAxis, value: number) => (axis.kind === 'grams' ? grams(value) : significant(value, 2));
