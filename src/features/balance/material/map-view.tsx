'use client';

import { type KeyboardEvent, type PointerEvent, useMemo, useRef, useState } from 'react';
import { atAxis, axisReach, axisValue, type MapAxis } from '@/core/balance/field-map';
import type { Formula } from '@/core/formula/formula';
import type { Reach } from './map-axes';
import { axisChoices, axisKey, largestTwo } from './map-axes';
import { EdgeMarks, mapWords, RegionMarks } from './map-edges';
import { MapFoot } from './map-foot';
import { MapAxes, MapGround } from './map-frame';
import { contourPath, HEIGHT, LEFT, PLOT, TOP, WIDTH } from './map-geometry';
import { useFieldMap } from './use-field-map';

/** From here on a risk is likely and its area is hatched. */
const LIKELY = 0.5;
/** Parts of an axis one press of an arrow key moves the dot. */
const KEY_STEP = 0.02;

/** How far can it go wrong and still land: two rows (or a ratio) span a field, the formula is a dot that can be dragged. */
export function MapView({
  formula,
  use,
  proposedGrams,
  nameOf,
  onGrams,
}: {
  formula: Formula;
  /** what it is for, for the words */
  use: string | undefined;
  /** grams of a balance that is proposed */
  proposedGrams: readonly number[] | undefined;
  nameOf: (ingredient: string) => string;
  /** puts grams into the pan */
  onGrams: (grams: readonly number[]) => void;
}) {
  const choices = useMemo(() => axisChoices(formula, nameOf), [formula, nameOf]);
  const [picked, setPicked] = useState((): readonly [string, string] => {
    const [across, up] = largestTwo(formula);
    return [axisKey(across), axisKey(up)];
  });
  const choose = (place: 0 | 1, key: string) => setPicked(place === 0 ? [key, picked[1]] : [picked[0], key]);
  const [x, y] = picked.map((key, i) => choices.find((choice) => choice.key === key) ?? choices[i]);
  if (!x || !y || formula.lines.length < 2) {
    return <p className="p-6 text-mute">The map needs two rows in the pan.</p>;
  }
  return (
    <div className="p-3">
      <div className="mb-2 grid grid-cols-2 gap-2">
        {[x, y].map((side, place) => (
          <label key={place === 0 ? 'across' : 'up'} className="block text-[13px]">
            <span className="text-mute">{place === 0 ? 'Across' : 'Up'}</span>
            <select
              className="h-11 w-full rounded-lg border border-rule bg-field px-2"
              value={side.key}
              onChange={(event) => choose(place as 0 | 1, event.target.value)}
            >
              {choices
                .filter(({ key }) => key !== (place === 0 ? y : x).key)
                .map((choice) => (
                  <option key={choice.key} value={choice.key}>
                    {choice.name}
                  </option>
                ))}
            </select>
          </label>
        ))}
      </div>
      <Field
        key={`${x.key} ${y.key}`}
        formula={formula}
        use={use}
        axes={[x.axis, y.axis]}
        names={[x.name, y.name]}
        proposedGrams={proposedGrams}
        onGrams={onGrams}
      />
    </div>
  );
}

/** The formula as a dot in a field: where it stands, and moving it by pointer and keys. */
function useDot(
  formula: Formula,
  around: Formula,
  axes: readonly [MapAxis, MapAxis],
  onGrams: (grams: readonly number[]) => void,
) {
  const isDragging = useRef(false);
  const reach: readonly [Reach, Reach] = [axisReach(around, axes[0]), axisReach(around, axes[1])];
  const at = (axis: 0 | 1, value: number) => (value - reach[axis][0]) / (reach[axis][1] - reach[axis][0]);
  const place = (list: readonly number[]) => {
    const there = { ...formula, lines: formula.lines.map((line, i) => ({ ...line, grams: list[i] ?? line.grams })) };
    return {
      cx: LEFT + at(0, axisValue(there, axes[0])) * PLOT.width,
      cy: TOP + (1 - at(1, axisValue(there, axes[1]))) * PLOT.height,
    };
  };
  const now = formula.lines.map((line) => line.grams);
  const dot = place(now);

  const moveTo = (partX: number, partY: number) => {
    const value = (axis: 0 | 1, part: number) =>
      reach[axis][0] + Math.min(Math.max(part, 0), 1) * (reach[axis][1] - reach[axis][0]);
    const next = atAxis(atAxis(now, axes[1], value(1, partY)), axes[0], value(0, partX));
    onGrams(next.map((g) => Math.round(g * 10) / 10));
  };
  const onPointer = (event: PointerEvent<SVGSVGElement>) => {
    if (!isDragging.current) return;
    const box = event.currentTarget.getBoundingClientRect();
    const scale = WIDTH / box.width;
    moveTo(
      ((event.clientX - box.left) * scale - LEFT) / PLOT.width,
      1 - ((event.clientY - box.top) * scale - TOP) / PLOT.height,
    );
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const step = KEY_STEP * (event.shiftKey ? 5 : 1);
    const [partX, partY] = [(dot.cx - LEFT) / PLOT.width, 1 - (dot.cy - TOP) / PLOT.height];
    if (event.key === 'ArrowLeft') moveTo(partX - step, partY);
    else if (event.key === 'ArrowRight') moveTo(partX + step, partY);
    else if (event.key === 'ArrowUp') moveTo(partX, partY + step);
    else if (event.key === 'ArrowDown') moveTo(partX, partY - step);
    else return;
    event.preventDefault();
  };

  const dragging = {
    onPointerDown: (event: PointerEvent<SVGSVGElement>) => {
      isDragging.current = true;
      event.currentTarget.setPointerCapture(event.pointerId);
      onPointer(event);
    },
    onPointerMove: onPointer,
    onLostPointerCapture: () => {
      isDragging.current = false;
    },
  };
  return { reach, place, dot, onKeyDown, dragging };
}

/** The field itself. Its reach is that of the formula it was opened on, so that it stays while the dot is dragged. */
function Field({
  formula,
  use,
  axes,
  names,
  proposedGrams,
  onGrams,
}: {
  formula: Formula;
  use: string | undefined;
  axes: readonly [MapAxis, MapAxis];
  names: readonly [string, string];
  proposedGrams: readonly number[] | undefined;
  onGrams: (grams: readonly number[]) => void;
}) {
  const origin = useRef(formula);
  const sameRows = origin.current.lines.length === formula.lines.length;
  if (!sameRows) origin.current = formula;
  // The field is drawn around where it was opened; rows that are not on its axes follow the pan.
  const onAxes = new Set(axes.flatMap((axis) => (axis.kind === 'grams' ? [axis.line] : [axis.over, axis.under])));
  const around: Formula = {
    ...formula,
    lines: formula.lines.map((line, i) =>
      onAxes.has(i) ? { ...line, grams: origin.current.lines[i]?.grams ?? line.grams } : line,
    ),
  };
  const drawing = useFieldMap(around, axes);
  const { map } = drawing;
  const { reach, place, dot, onKeyDown, dragging } = useDot(formula, around, axes, onGrams);

  const drawn = useMemo(() => {
    if (!map) return undefined;
    return {
      inside: contourPath(map, map.inside, 0),
      risky: contourPath(map, map.risk, LIKELY),
      words: mapWords(map, { gates: formula.gates, moments: formula.moments }, use),
      share: map.inside.filter((value) => value >= 0).length / map.inside.length,
    };
  }, [map, formula.gates, formula.moments, use]);

  return (
    <div data-testid="map">
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="block w-full touch-none select-none"
        role="img"
        aria-label={`Map of ${names[0]} against ${names[1]}`}
        {...dragging}
      >
        <MapGround />
        <g clipPath="url(#plot)">
          {drawn && (
            <path
              d={drawn.inside}
              fill="var(--color-enamel)"
              fillOpacity={0.3}
              stroke="var(--color-enamel)"
              strokeWidth={3}
              data-testid="map-inside"
            />
          )}
          {drawn && <path d={drawn.risky} fill="url(#risk)" />}
          {drawn && <RegionMarks regions={drawn.words.regions} />}
          {drawn && <EdgeMarks edges={drawn.words.edges} />}
        </g>
        <MapAxes axes={axes} names={names} reach={reach} />
        {proposedGrams && (
          <circle {...place(proposedGrams)} r={10} fill="none" stroke="var(--color-enamel)" strokeWidth={4} />
        )}
        <circle {...dot} r={11} fill="var(--color-ink)" stroke="var(--color-sheet)" strokeWidth={3} />
      </svg>
      <MapFoot
        formula={formula}
        axes={axes}
        names={names}
        share={drawn?.share}
        drawing={drawing}
        onKeyDown={onKeyDown}
      />
    </div>
  );
}
