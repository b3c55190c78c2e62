'use client';

import { type KeyboardEvent, type PointerEvent, useRef } from 'react';
import { level, type Plot, resistanceAtHeight, TOP, xOf, yOf } from './chart-geometry';
import { type ChartGate, GATE_HALF_WIDTH_C } from './chart-marks';
import { significant } from './format';

/** What one press of an arrow key moves: a factor on resistance, °C; more with Shift. */
const KEY_FACTOR = 1.05;
const KEY_FACTOR_SHIFT = 1.5;
const KEY_C = 0.5;
/** How far a handle reaches from its edge into the gate and away from it, px: a finger's width together. */
const REACH = 12;
const REACH_OUT = 32;
/** Half of the least width of a handle, px. */
const LEAST_HALF = 22;

/** Where a pointer is in the chart. */
const local = (event: PointerEvent<HTMLElement>) => {
  const figure = event.currentTarget.closest('figure')?.getBoundingClientRect();
  return { x: event.clientX - (figure?.left ?? 0), y: event.clientY - (figure?.top ?? 0) };
};

/** Moves a gate by an arrow key. */
function shiftByKey(event: KeyboardEvent, shift: NonNullable<ChartGate['onShift']>) {
  const step = event.shiftKey ? KEY_FACTOR_SHIFT : KEY_FACTOR;
  const byC = event.shiftKey ? 4 * KEY_C : KEY_C;
  if (event.key === 'ArrowUp') shift(step, 0);
  else if (event.key === 'ArrowDown') shift(1 / step, 0);
  else if (event.key === 'ArrowLeft') shift(1, byC);
  else if (event.key === 'ArrowRight') shift(1, -byC);
  else return;
  event.preventDefault();
}

/** Handles on a gate's edges and on the gate itself, for finger, pointer and keyboard. */
export function GateHandles({ gate, plot }: { gate: ChartGate; plot: Plot }) {
  const last = useRef<{ x: number; y: number } | undefined>(undefined);
  const middle = xOf(gate.temperatureC, plot);
  const half = Math.max(xOf(gate.temperatureC - GATE_HALF_WIDTH_C, plot) + 8 - middle, LEAST_HALF);
  const [left, right] = [middle - half, middle + half];
  const top = gate.highPa === undefined ? TOP + plot.top : yOf(gate.highPa, plot);
  const bottom = gate.lowPa === undefined ? TOP + plot.top + plot.height : yOf(gate.lowPa, plot);

  const grab = (event: PointerEvent<HTMLElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    last.current = local(event);
  };
  const letGo = () => {
    last.current = undefined;
  };
  const { onShift } = gate;
  const onBodyMove = (event: PointerEvent<HTMLElement>) => {
    const from = last.current;
    if (!from || !onShift) return;
    const to = local(event);
    last.current = to;
    const factor = resistanceAtHeight(to.y, plot) / resistanceAtHeight(from.y, plot);
    onShift(factor, ((from.x - to.x) / plot.width) * xSpan(plot));
  };
  return (
    <>
      {onShift && bottom - top > 2 * REACH && (
        <button
          type="button"
          aria-label={`${gate.name}: move the gate with the arrow keys`}
          className="absolute cursor-move touch-none rounded hover:bg-enamel/10"
          style={{ left, width: right - left, top: top + REACH, height: bottom - top - 2 * REACH }}
          onPointerDown={grab}
          onPointerMove={onBodyMove}
          onLostPointerCapture={letGo}
          onKeyDown={(event) => shiftByKey(event, onShift)}
        />
      )}
      {gate.highPa !== undefined && gate.onHigh && (
        <EdgeHandle
          name={`${gate.name}: upper edge of the gate`}
          pa={gate.highPa}
          box={{ left, width: right - left, top: yOf(gate.highPa, plot) - REACH_OUT }}
          onGrab={grab}
          onDrag={(event) => last.current && gate.onHigh?.(resistanceAtHeight(local(event).y, plot))}
          onLetGo={letGo}
          onMove={gate.onHigh}
        />
      )}
      {gate.lowPa !== undefined && gate.onLow && (
        <EdgeHandle
          name={`${gate.name}: lower edge of the gate`}
          pa={gate.lowPa}
          box={{ left, width: right - left, top: yOf(gate.lowPa, plot) - REACH }}
          onGrab={grab}
          onDrag={(event) => last.current && gate.onLow?.(resistanceAtHeight(local(event).y, plot))}
          onLetGo={letGo}
          onMove={gate.onLow}
        />
      )}
    </>
  );
}

/** One edge of a gate. */
function EdgeHandle({
  name,
  pa,
  box,
  onGrab,
  onDrag,
  onLetGo,
  onMove,
}: {
  name: string;
  pa: number;
  box: { left: number; width: number; top: number };
  onGrab: (event: PointerEvent<HTMLElement>) => void;
  onDrag: (event: PointerEvent<HTMLElement>) => void;
  onLetGo: () => void;
  onMove: (pa: number) => void;
}) {
  const onKeyDown = (event: KeyboardEvent) => {
    const step = event.shiftKey ? KEY_FACTOR_SHIFT : KEY_FACTOR;
    if (event.key === 'ArrowUp') onMove(pa * step);
    else if (event.key === 'ArrowDown') onMove(pa / step);
    else return;
    event.preventDefault();
  };
  return (
    <button
      type="button"
      role="slider"
      aria-label={name}
      aria-valuenow={Math.round(1000 * level(pa)) / 1000}
      aria-valuetext={`${significant(pa)} Pa`}
      aria-orientation="vertical"
      className="absolute cursor-ns-resize touch-none rounded hover:bg-enamel/15"
      style={{ ...box, height: REACH + REACH_OUT }}
      onPointerDown={onGrab}
      onPointerMove={onDrag}
      onLostPointerCapture={onLetGo}
      onKeyDown={onKeyDown}
    />
  );
}

/** °C along the whole plot. */
function xSpan(plot: Plot): number {
  return (plot.width * 10) / (xOf(10, plot) - xOf(20, plot));
}
