import { memo } from 'react';
import { nth } from '@/core/nth';
import { CURVE_FROM_C, CURVE_TO_C, type ResistanceCurve } from '@/core/predict/curve';
import { LEFT, type Plot, TOP, xOf, yOf } from './chart-geometry';
import { celsius, degrees, significant } from './format';
import { LANDMARKS, nearestLandmark } from './landmarks';
import { fixed, numeral } from './settings/numerals';
import { roundDegrees } from './settings/round-degrees';

/** A gate on the curve: a band of resistance at one temperature. */
export interface ChartGate {
  readonly name: string;
  readonly temperatureC: number;
  readonly lowPa: number | undefined;
  readonly highPa: number | undefined;
  /** -1 too loose, 0 passed, 1 too stiff */
  readonly side: -1 | 0 | 1;
  /** moves an edge to a resistance; an edge without is not moved */
  readonly onLow?: ((pa: number) => void) | undefined;
  readonly onHigh?: ((pa: number) => void) | undefined;
  /** moves the whole gate: its edges by a factor, its temperature by °C */
  readonly onShift?: ((factor: number, deltaC: number) => void) | undefined;
}

/** A moment as a point. */
export interface ChartPoint {
  readonly name: string;
  readonly temperatureC: number;
  readonly resistancePa: number;
  /** -1 too loose, 0 as wanted or not asked, 1 too stiff */
  readonly side: -1 | 0 | 1;
  /** by what a little more of the row at hand would move it: drawn as an arrow with its factor */
  readonly moreFactor?: number | undefined;
}

export const GATE_HALF_WIDTH_C = 2.2;

/** Reads the curve between its points. */
function resistanceAt(curve: ResistanceCurve, temperatureC: number): number {
  const step = (CURVE_FROM_C - CURVE_TO_C) / (curve.temperatureC.length - 1);
  const place = Math.min(Math.max((CURVE_FROM_C - temperatureC) / step, 0), curve.temperatureC.length - 1.001);
  const i = Math.floor(place);
  const [a, b] = [nth(curve.resistancePa, i), nth(curve.resistancePa, i + 1)];
  return Math.exp(Math.log(a) + (place - i) * (Math.log(b) - Math.log(a)));
}

/** A resistance on the axis: `0.03 Pa`, `10 kPa`. */
const pascals = (pa: number) => (pa >= 1000 ? `${numeral(pa / 1000, 2)}\u202fkPa` : `${numeral(pa, 2)}\u202fPa`);

/** Landmarks on the left, temperatures below. */
export const Scales = memo(function Scales({ plot, kitchenC }: { plot: Plot; kitchenC: number | undefined }) {
  const right = LEFT + plot.left + plot.width;
  const bottom = TOP + plot.top + plot.height;
  return (
    <g className="text-[12px]">
      {LANDMARKS.map(({ resistancePa, name }) => (
        <g key={name}>
          <line
            x1={LEFT + plot.left}
            x2={right}
            y1={yOf(resistancePa, plot)}
            y2={yOf(resistancePa, plot)}
            stroke="var(--color-rule-soft)"
          />
          <text x={LEFT + plot.left - 8} y={yOf(resistancePa, plot)} textAnchor="end" fill="var(--color-mute)">
            {name}
            <tspan x={LEFT + plot.left - 8} dy={12} className="read text-[10.5px]">
              {pascals(resistancePa)}
            </tspan>
          </text>
        </g>
      ))}
      {roundDegrees(CURVE_FROM_C, CURVE_TO_C, 10).map((t) => (
        <g key={t}>
          <line x1={xOf(t, plot)} x2={xOf(t, plot)} y1={TOP + plot.top} y2={bottom} stroke="var(--color-rule-soft)" />
          <text x={xOf(t, plot)} y={bottom + 18} textAnchor="middle" fill="var(--color-mute)" className="read">
            {degrees(t)}°
          </text>
        </g>
      ))}
      {kitchenC !== undefined && kitchenC > CURVE_TO_C && kitchenC < CURVE_FROM_C && (
        <g>
          <line
            x1={xOf(kitchenC, plot)}
            x2={xOf(kitchenC, plot)}
            y1={TOP + plot.top}
            y2={bottom}
            stroke="var(--color-mute)"
            strokeDasharray="1 4"
            strokeWidth={1.5}
          />
          <text x={xOf(kitchenC, plot) + 4} y={bottom - 6} fill="var(--color-mute)">
            kitchen {degrees(kitchenC)}°
          </text>
        </g>
      )}
      <line x1={LEFT + plot.left} x2={right} y1={bottom} y2={bottom} stroke="var(--color-rule)" />
    </g>
  );
});

/** A gate as drawn, px. */
function gateBox(gate: ChartGate, plot: Plot) {
  return {
    left: xOf(Math.min(gate.temperatureC + GATE_HALF_WIDTH_C, CURVE_FROM_C), plot),
    right: xOf(Math.max(gate.temperatureC - GATE_HALF_WIDTH_C, CURVE_TO_C), plot),
    top: gate.highPa === undefined ? TOP + plot.top : yOf(gate.highPa, plot),
    bottom: gate.lowPa === undefined ? TOP + plot.top + plot.height : yOf(gate.lowPa, plot),
  };
}

const gateName = (gate: ChartGate) => `${gate.name} ${gate.side === 0 ? '✓' : '✕'}`;

/** Where a gate's name is written, px. */
export interface NamePlace {
  readonly x: number;
  readonly y: number;
  readonly anchor: 'middle' | 'end';
}

/** A letter's width and the height of a line, px, as far as names must keep apart. */
const LETTER = 7;
const LINE = 15;

/** Names above or below their gates, so that they do not write over each other. */
export function placeNames(gates: readonly ChartGate[], plot: Plot): NamePlace[] {
  const taken: { left: number; right: number; y: number }[] = [];
  return gates.map((gate) => {
    const { left, right, top, bottom } = gateBox(gate, plot);
    const nearRightEdge = right > LEFT + plot.left + plot.width - 60;
    const width = LETTER * gateName(gate).length;
    const x = nearRightEdge ? right + 4 : (left + right) / 2;
    const from = nearRightEdge ? x - width : x - width / 2;
    const above = Math.max(top - 8, TOP + plot.top + 12);
    const below = bottom + 16;
    // The mark of what misses stands on the other side of its gate: a name rather goes two lines away than there.
    const up = [above, above - LINE, above - 2 * LINE];
    const down = [below, below + LINE, below + 2 * LINE];
    const wishes = gate.side === -1 ? [...up, ...down] : [...down, ...up];
    const free = (y: number) =>
      taken.every((other) => other.right < from || from + width < other.left || Math.abs(other.y - y) >= LINE);
    const y = wishes.find(free) ?? nth(wishes, 0);
    taken.push({ left: from, right: from + width, y });
    return { x, y, anchor: nearRightEdge ? 'end' : 'middle' };
  });
}

/** Two bars and a wash between them; the name with ✓ or which way it is off. */
export function GateMark({ gate, nameAt, plot }: { plot: Plot; gate: ChartGate; nameAt: NamePlace }) {
  const { left, right, top, bottom } = gateBox(gate, plot);
  const colour = gate.side === 0 ? 'var(--color-enamel)' : 'var(--color-off)';
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
        x={nameAt.x}
        y={nameAt.y}
        textAnchor={nameAt.anchor}
        fill={colour}
        stroke="var(--color-sheet)"
        strokeWidth={4}
        paintOrder="stroke"
        className="font-semibold text-[12.5px]"
      >
        {gateName(gate)}
      </text>
    </g>
  );
}

/** Round in its gate, a diamond with a pointer out of it. */
export function PointMark({ point, cx, cy, colour }: { point: ChartPoint; cx: number; cy: number; colour: string }) {
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

/** Which way a little more of the row at hand would move a point, and by what factor. */
export function MoreMark({ factor, cx, cy, toLeft }: { factor: number; cx: number; cy: number; toLeft: boolean }) {
  const side = toLeft ? -1 : 1;
  const up = factor >= 1 ? -1 : 1;
  const x = cx + 15 * side;
  return (
    <g stroke="var(--color-sheet)" strokeWidth={3} paintOrder="stroke" fill="var(--color-ink)">
      <path d={`M ${x - 4} ${cy} L ${x + 4} ${cy} L ${x} ${cy + up * 9} Z`} />
      <text
        x={x + 7 * side}
        y={cy + 5 * up + 4}
        textAnchor={toLeft ? 'end' : 'start'}
        className="read text-[12px] font-semibold"
      >
        {`×${fixed(factor, 2)}`}
      </text>
    </g>
  );
}

/** Temperature, resistance and landmark under the pointer. */
export function Reading({ curve, temperatureC, plot }: { plot: Plot; curve: ResistanceCurve; temperatureC: number }) {
  const pa = resistanceAt(curve, temperatureC);
  const cx = xOf(temperatureC, plot);
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
      <circle cx={cx} cy={yOf(pa, plot)} r={3.5} fill="var(--color-ink)" />
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
